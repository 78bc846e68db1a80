module Rhexon
  module Checks
    module Rules
      # bond.pair: a film over what is worth less than "holds" by trade practice, or over what nobody knows. Silent
      # where the pair holds, where a sheet names it, where a seal, a scuff or the full cure already lies between, for
      # pairs that BondPair stops, and where a board of the piece was tried with the same two, one over the other. Of
      # colour and filler it tells only what never goes over what lies in the wood, or of filler on a film; a stain over
      # a film is told by colour.over_film.
      module BondUsual
        LEVELS = { "never" => "stop", "barrier" => "caution", "cured" => "caution", "scuff" => "note" }.freeze
        TITLES = {
          "never" => "It does not hold on that", "barrier" => "It holds badly on that",
          "cured" => "Too young to go over", "scuff" => "It holds by scratches only"
        }.freeze

        module_function

        def call(context)
          context.walks.values
            .flat_map { |walk| walk.course.each_with_index.filter_map { |_, at| on_face(context, walk.course, at) } }
            .uniq(&:step)
        end

        def on_face(context, course, at)
          upper = course[at].placement
          return if !goes_over?(upper.pass) || upper.pass.inserted || upper.status == "done"

          lower = course.first(at).reverse.find { |moment| lies?(moment.placement.pass, course[at].before) } or return
          return if soaks?(upper.pass) && !kept_out?(lower.placement.pass, course[at].before, upper.pass)

          judged(context, lower, course[lower_at(course, lower) + 1...at], upper)
        end

        def goes_over?(pass) = pass.film? || pass.kind == "oil" || soaks?(pass)
        def soaks?(pass) = %w[stain fill].include?(pass.kind)

        # What goes into the wood and is refused by what lies there.
        def kept_out?(lower, surface, upper)
          return false unless Materials::Pairs.usual(lower.product, upper.product)&.fetch("verdict") == "never"

          !lower.film? || (upper.kind == "fill" && surface.total_um > Reference.limits.stain_over_film_um)
        end

        def lower_at(course, lower) = course.index { |moment| moment.equal?(lower) }

        # Of wax bond.over_wax tells. Colour, filler and oil stay in the wood; of a film something has to be left.
        def lies?(pass, surface)
          return false if !pass.leaves_something? || pass.kind == "wax"

          !pass.film? || surface.layers.any? { |layer| layer.pass == pass.key && layer.left? }
        end

        def judged(context, lower, between, upper)
          below, above = lower.placement.pass.product, upper.pass.product
          return if Materials::Pairs.settled?(below, above)

          row = Materials::Pairs.usual(below, above)
          return row.nil? ? unknown(context, upper, below) : nil if row.nil? || row["verdict"] == "holds"
          good = made_good?(context, row["verdict"], lower.placement, between, upper)
          good ? unwashed(context, row, lower.placement, upper) : finding(context, upper, below, row)
        end

        # Scuffed, and what had come out of it sanded in.
        def unwashed(context, row, lower, upper)
          return if !row["wash"] || washed?(context, lower, upper)

          below = lower.pass.product
          context.finding(
            "bond.pair", "note", "Wash it before it is scuffed",
            "#{context.title(upper)} goes over #{below.name}. #{row["why"]}",
            placement: upper, figures: { lower: below.name, upper: upper.pass.product.name },
            remedies: [ context.put_before(upper.pass.step, "Wash and rinse it",
                                           { "kind" => "clean", "way" => "wash" }) ]
          )
        end

        def washed?(context, lower, upper)
          context.placements.any? do |one|
            one.pass.step.values_at("kind", "way") == %w[clean wash] && (one.pass.faces & upper.pass.faces).any? &&
              one.work_start.between?(lower.work_end, upper.work_start)
          end
        end

        def made_good?(context, verdict, lower, between, upper)
          case verdict
          when "scuff" then between.any? { |moment| moment.removed_um.positive? }
          when "cured" then (cured = context.plan.drier.reached_at(lower, "full_cure")) && cured <= upper.work_start
          else false
          end
        end

        def finding(context, upper, below, row)
          verdict = row["verdict"]
          context.finding(
            "bond.pair", LEVELS.fetch(verdict), TITLES.fetch(verdict),
            "#{context.title(upper)} goes straight over #{below.name}. #{row["why"]}",
            placement: upper, figures: { lower: below.name, upper: upper.pass.product.name },
            remedies: upper.status == "planned" ? [ remedy(context, upper, below, verdict) ] : []
          )
        end

        def remedy(context, upper, below, verdict)
          step = upper.pass.step
          case verdict
          when "never" then context.leave_out(step)
          when "barrier" then context.barrier_under(upper, below, "Seal with %s in between")
          when "scuff"
            context.put_before(step, "Scuff it first", { "kind" => "level", "aim" => "scuff", "grits" => [ "P320" ] })
          when "cured"
            context.put_before(step, "Wait until it has cured", { "kind" => "wait", "milestone" => "full_cure" })
          end
        end

        def unknown(context, upper, below)
          return if tried?(context, below, upper.pass.product)

          context.finding(
            "bond.pair", "note", "A pair nobody knows",
            "#{upper.pass.product.name} over #{below.name}: no sheet and nobody here says whether it holds. Try it " \
            "on a board, and pull at it with tape a week later.",
            placement: upper, figures: { lower: below.name, upper: upper.pass.product.name },
            remedies: [ context.go("Make a board of it", "trial") ]
          )
        end

        def tried?(context, below, above)
          (context.piece.boards || []).any? do |board|
            laid = board["layers"].filter_map { |layer| layer["product"] if Work::Steps.lays?(layer) }
            laid.each_cons(2).any?([ below.id, above.id ])
          end
        end
      end
    end
  end
end
