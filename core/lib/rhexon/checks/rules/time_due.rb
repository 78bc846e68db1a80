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
          remedies = [ without_window(context, step, found.constraint), *(shares(context) if found.constraint == "hard_window"), *(elsewhere(context) if found.constraint == "rack") ].compact
          sentence = "#{Schedule::Words.step(step, context.shop.products[step["product"]]&.name)} cannot be planned. #{why}#{figures(context, step) if found.constraint == "hard_window"}."
          finding = context.finding(step["wipe_off"] && found.constraint == "hard_window" ? "time.wipe_off" : "time.due", "stop", "No date can be given", sentence, figures: { constraint: found.constraint }, remedies: remedies)
          [ finding.tap { |named| named.step = step["id"] } ]
        end

        # What the window is, and what has to go into it.
        def figures(context, step)
          passes = context.plan.queues.fetch(context.piece.id).select { |pass| pass.step["id"] == step["id"] && pass.kind != "wait" }
          pass = passes.find(&:hard) or return ""
          lower = context.plan.model.passes[pass.hard.lower]
          return pot(context, lower, passes) unless pass.hard.closes

          opens, closes = lower.product.milestone(pass.hard.closes.sub("latest", "earliest").sub("max", "min"), lower.method)&.value, lower.product.milestone(pass.hard.closes, lower.method).value
          ": it is open from #{context.duration(opens || 0)} to #{context.duration(closes)} after laying, for #{context.duration(pass.hands_min)} of hands"
        end

        def pot(context, lower, passes)
          usable = Mixing::PotLife.usable_min(lower.product, t_c: context.shop.line(lower.room).at(context.shop.now).t_c, hardener_parts: Mixing::ProductMix.hardener_parts(lower.product, lower.step)) or return ""
          waits = passes.drop(1).sum { |pass| pass.needs.filter_map { |need| opening(context, need) }.max || 0 }
          ": one pot may be used for #{context.duration(usable)}, and its coats take #{context.duration(passes.sum(&:hands_min) + waits)} with the waits between them"
        end

        def opening(context, need)
          now = context.shop.now
          context.plan.drier.opening(context.plan.model.passes[need.pass], need.milestone, need.pair)&.at(now)&.-(now)
        end

        # Rooms in which the work can dry: shown where a date comes of it.
        def elsewhere(context)
          laid = context.document["steps"].select { |step| %w[stain coat].include?(step["kind"]) }
          context.shop.rooms.each_value.reject { |room| room.rack_places&.zero? }.filter_map do |room|
            operation = { "op" => "all", "operations" => laid.map { |step| { "op" => "change_step", "id" => step["id"], "set" => { "dry_room" => room.id } } } }
            ready = context.plan.with_schedule(context.piece.id, Schedule::Edit.apply(context.document, operation)).build.ready[context.piece.id]
            context.remedy("Let it dry in the #{room.id}: ready #{context.clock(ready)}", operation) if ready
          end
        end

        # Hardener at either end of its range, where the sheet gives pot life and cure there: shown where a date comes of it.
        def shares(context)
          coats = context.document["steps"].select { |step| step["kind"] == "coat" && (product = context.shop.products[step["product"]])&.pot_life_by_hardener && product.class_id != "epoxy_clear" }
          coats.flat_map { |step| context.shop.products[step["product"]].pot_life_by_hardener.map(&:first).map { |parts| [ step, parts ] } }.filter_map do |step, parts|
            operation = { "op" => "change_step", "id" => step["id"], "set" => { "hardener_parts" => parts } }
            ready = context.plan.with_schedule(context.piece.id, Schedule::Edit.apply(context.document, operation)).build.ready[context.piece.id]
            context.remedy("Use #{format("%g", parts)} parts of hardener: ready #{context.clock(ready)}", operation) if ready
          end
        end

        WHY = { "milestone" => "What it waits for is not reached within 400 days in this air", "hours" => "Nobody who may do it is there long enough at a time",
                "rack" => "There are more pieces than places on the rack", "hard_window" => "Its window is shorter than what has to happen in it", "search" => "No place was found for it among the work there is" }.freeze
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
