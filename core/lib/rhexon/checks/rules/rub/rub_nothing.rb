module Rhexon
  module Checks
    module Rules
      # rub.nothing: a rub-out where there is no film to bring to a sheen: on bare wood, on oil that lies in the wood,
      # or on wax. Silent on films, also thin ones (rub.film_short tells of those), and on what is rubbed already.
      module RubNothing
        module_function

        def call(context)
          rubbed = context.placements.select { |one| one.pass.kind == "rub_out" && one.status != "done" }
          rubbed.filter_map { |one| finding(context, one) }.uniq(&:step)
        end

        def finding(context, rub)
          lies = lies(context, rub) or return
          context.finding(
            "rub.nothing", "stop", "No film to rub out",
            "#{context.title(rub)} brings a film to its sheen, and there is none: #{lies}. Sand it finer before it " \
            "is finished, or apply a film first.",
            placement: rub, figures: { lies: lies },
            remedies: [ context.leave_out(rub.pass.step) ]
          )
        end

        # @return [String, nil] what is there instead of a film, on every face that is rubbed
        def lies(context, rub)
          found = rub.pass.faces.map { |face| on(context, face, rub) }
          found.first if found.all?
        end

        def on(context, face, rub)
          walk = context.plan.film(context.piece.id, face)
          surface = walk.course.reverse.find { |moment| before?(moment.placement, rub) }&.after || walk.bare
          return "wax lies on it" if surface.residue == "wax"
          return unless surface.layers.select(&:left?).all? { |layer| layer.way == "oil" }

          oiled = context.placements.any? do |one|
            one.pass.product&.oil? && one.pass.faces.include?(face) && before?(one, rub)
          end
          oiled ? "oil lies in the wood" : "the wood is bare"
        end

        def before?(placement, rub) = placement.hands_end <= rub.hands_start
      end
    end
  end
end
