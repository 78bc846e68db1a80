module Rhexon
  module Checks
    module Rules
      # time.due: the piece is ready after its due date, or a milestone is never reached. Silent when it is ready in
      # time or has no due date.
      # Its remedies are replanned and shown only if they make the piece earlier.
      module TimeDue
        MOST = 3

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
            remedies: lambda {
              sooner = candidates(context).lazy.filter_map { |remedy| proven(context, remedy, ready) }.first(MOST)
              [ *sooner, context.go("See what else would do", "ways") ]
            }
          ) ]
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
          pins + Alternatives.rooms(context) + Alternatives.fewer(context)
        end

        def proven(context, remedy, ready)
          document = Schedule::Edit.apply(context.document, remedy.operation)
          earlier = context.plan.with_schedule(context.piece.id, document).build.ready[context.piece.id]
          return unless earlier && earlier < ready

          Remedy.new(label: "#{remedy.label}: ready #{context.clock(earlier)}", operation: remedy.operation)
        rescue InvalidInput
          nil
        end
      end
    end
  end
end
