module Rhexon
  module Checks
    module Rules
      # film.poor_hiding: an opaque colour that is laid on so thin that the wood still shows: reckoned from its own
      # colour figures as the difference that is left between a pale and a dark board of that wood. Silent where that
      # is not seen, for clear and tinted films, on sheet goods, and where wood or product have no colour figures.
      module FilmPoorHiding
        module_function

        def call(context)
          course = context.course
          top = course.laid.reverse.find(&:coat?)
          return [] unless top&.first && top.product.colour == "pigmented" && !finished?(top)

          shows = shows(course, top, 0) or return []
          shows < limits.shows_through ? [] : [ finding(context, top, shows) ]
        end

        def limits = Reference.limits
        def finished?(top) = top.placements.all? { |placement| placement.status == "done" }

        # @return [Float, nil] delta E that is left between a pale and a dark board, with so many coats more
        def shows(course, top, more)
          steps = course.steps.map do |step|
            step.equal?(top.step) ? step.merge("coats" => (step["coats"] || 1) + more) : step
          end
          pale, dark = %w[pale dark].map { |board| course.look(board: board, steps: steps)&.look&.lab }
          pale && Colour::DeltaE.ciede2000(pale, dark)
        end

        def finding(context, top, shows)
          coats = top.step["coats"] || 1
          context.finding(
            "film.poor_hiding", "caution", "What is below still shows",
            "#{coats} #{coats == 1 ? "coat" : "coats"} of #{top.product.name} #{coats == 1 ? "does" : "do"} not hide " \
            "the wood: between its pale and its dark parts ΔE #{format("%.1f", shows)} is left " \
            "(#{Colour::DeltaE.label(shows)}), and more on edges. More coats, or a primer tinted to the colour.",
            placement: top.placements.last, figures: { delta_e: shows.round(1), coats: coats },
            remedies: [ more_coats(context, top) ]
          )
        end

        def more_coats(context, top)
          more = (1..limits.most_more_coats).find { |count| shows(context.course, top, count) < limits.shows_through }
          return unless more && !top.begun?

          context.change(top.first, more == 1 ? "One more coat" : "#{more} more coats",
                         { "coats" => (top.step["coats"] || 1) + more })
        end
      end
    end
  end
end
