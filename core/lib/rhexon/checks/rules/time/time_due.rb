module Rhexon
  module Checks
    module Rules
      # time.due: the piece is ready after its due date, or a milestone is never reached. Silent when it is ready in
      # time or has no due date.
      # Its remedies are replanned and shown only if they make the piece earlier.
      module TimeDue
        module_function

        def call(context)
          ready = context.plan.build.ready[context.piece.id]
          return NoDate.findings(context) if ready.nil? && context.document["steps"].any?
          return [] unless ready && context.piece.due && ready > context.piece.due

          late = ready - context.piece.due
          sentence =
            "Ready #{context.clock(ready)}, due #{context.clock(context.piece.due)}: #{context.duration(late)} late."
          [ context.finding(
            "time.due", "caution", "Late", sentence, placement: context.placements.last,
            figures: { ready_at: ready, due: context.piece.due, late_min: late },
            remedies: ->(passes) { sooner(context, ready, passes) }
          ) ]
        end

        def sooner(context, ready, passes)
          proofs = Proofs.new(context, candidates(context), than: ready, passes: passes)
          Ways.new(remedies: [ *proofs.found, context.go("See what else would do", "ways") ],
                   untried: proofs.untried)
        end

        def candidates(context)
          pins = context.document["steps"].select { |step| step["pins"] }.map do |step|
            operations = step["pins"].map do |pin|
              { "op" => "pin", "id" => step["id"], "coat" => pin["coat"], "start" => nil, **pin.slice("faces") }
            end
            context.remedy(
              "Let the plan place #{Schedule::Words.step(step, context.shop.products[step["product"]]&.name)}",
              { "op" => "all", "operations" => operations }
            )
          end
          pins + Alternatives.rooms(context) + Alternatives.fewer(context) + Alternatives.methods(context)
        end
      end
    end
  end
end
