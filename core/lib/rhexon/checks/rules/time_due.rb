module Rhexon
  module Checks
    module Rules
      # time.due: the piece is ready after its due date, or a milestone is never reached. Silent when it is ready in time or has no due date.
      # Its remedies are replanned and shown only if they make the piece earlier.
      module TimeDue
        MOST = 3

        module_function

        def call(context)
          ready = context.plan.build.ready[context.piece.id]
          return blocked(context) if ready.nil? && context.document["steps"].any?
          return [] unless ready && context.piece.due && ready > context.piece.due

          late = ready - context.piece.due
          remedies = candidates(context).filter_map { |remedy| proven(context, remedy, ready) }.first(MOST)
          sentence = "Ready #{context.clock(ready)}, due #{context.clock(context.piece.due)}: #{context.duration(late)} late."
          [ context.finding("time.due", "caution", "Late", sentence, placement: context.placements.last, figures: { ready_at: ready, due: context.piece.due, late_min: late }, remedies: remedies) ]
        end

        def blocked(context)
          found = context.plan.build.blocked[context.piece.id] or return []
          why = WHY.fetch(found.constraint)
          step = Schedule::Document.step(context.document, found.pass.split("/")[1])
          finding = context.finding("time.due", "stop", "No date can be given", "#{Schedule::Words.step(step, context.shop.products[step["product"]]&.name)} cannot be planned. #{why}.", figures: { constraint: found.constraint }, remedies: [ without_window(context, step, found.constraint) ])
          [ finding.tap { |named| named.step = step["id"] } ]
        end

        WHY = { "milestone" => "What it waits for is not reached within 400 days in this air", "hours" => "Nobody who may do it is there long enough at a time",
                "rack" => "There are more pieces than places on the rack", "hard_window" => "Its window is shorter than what has to happen in it" }.freeze
        WINDOWS = { "one_batch" => "Mix a pot for each coat", "wet_on_wet" => "Let each coat wait for its window", "while_soft" => "Level when it is dry to sand", "wipe_off" => "Lay on so little that nothing is wiped off" }.freeze

        def without_window(context, step, constraint)
          flag = WINDOWS.keys.find { |name| step[name] } if constraint == "hard_window"
          flag && context.remedy(WINDOWS.fetch(flag), { "op" => "change_step", "id" => step["id"], "set" => { flag => nil } })
        end

        def candidates(context)
          pins = context.document["steps"].select { |step| step["pins"] }.map do |step|
            operations = step["pins"].map { |pin| { "op" => "pin", "id" => step["id"], "coat" => pin["coat"], "start" => nil, **pin.slice("faces") } }
            context.remedy("Let the plan place #{Schedule::Words.step(step, context.shop.products[step["product"]]&.name)}", { "op" => "all", "operations" => operations })
          end
          pins + Alternatives.rooms(context) + Alternatives.fewer(context)
        end

        def proven(context, remedy, ready)
          document = Schedule::Edit.apply(context.document, remedy.operation)
          earlier = context.plan.with_schedule(context.piece.id, document).build.ready[context.piece.id]
          return unless earlier && earlier < ready

          Remedy.new(label: "#{remedy.label}: ready #{context.clock(earlier)}", operation: remedy.operation)
        rescue Refusal
          nil
        end
      end
    end
  end
end
