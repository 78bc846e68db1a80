module Rhexon
  module Checks
    # Why a piece has no date, with the figures, and what would give it one: each way out is planned anew and offered
    # only where a date comes of it.
    module NoDate
      module_function

      # @return [Array<Finding>] time.due, or time.wipe_off where that is what cannot be kept
      def findings(context)
        block = context.plan.build.blocked[context.piece.id] or return []
        why = WHY.fetch(block.constraint)
        step = Schedule::Document.step(context.document, block.pass.split("/")[1])
        remedies = [
          without_window(context, step, block.constraint), *(shares(context) if block.constraint == "hard_window"),
          *(elsewhere(context) if block.constraint == "rack"), *(faster(context, step) if block.constraint == "hours")
        ].compact
        told = { "hard_window" => :figures, "hours" => :too_long }[block.constraint]
        sentence = "#{Schedule::Words.step(step, context.shop.products[step["product"]]&.name)} cannot be planned. " \
                   "#{why}#{send(told, context, step) if told}."
        finding = context.finding(
          step["wipe_off"] && block.constraint == "hard_window" ? "time.wipe_off" : "time.due", "stop",
          "No date can be given", sentence, figures: { constraint: block.constraint }, remedies: remedies
        )
        [ finding.tap { |named| named.step = step["id"] } ]
      end

      # What the window is, and what has to go into it.
      def figures(context, step)
        passes = context.plan.queues.fetch(context.piece.id).select do |pass|
          pass.step["id"] == step["id"] && pass.kind != "wait"
        end
        pass = passes.find(&:hard) or return ""
        lower = context.plan.model.passes[pass.hard.lower]
        return pot(context, lower, passes) unless pass.hard.closes

        opens, closes = [ pass.hard.closes.sub("latest", "earliest").sub("max", "min"), pass.hard.closes ].map { |name|
          lower.product
          .milestone(name, lower.method)&.value
        }
        if closes
          ": it is open from #{context.duration(opens || 0)} to #{context.duration(closes)} after laying, for " \
          "#{context.duration(pass.hands_min)} of hands"
        else
          ""
        end
      end

      def pot(context, lower, passes)
        now = context.shop.now
        until_minute = Mixing::PotLife.usable_until(
          lower.product, context.shop.line(lower.room), now,
          hardener_parts: Mixing::ProductMix.hardener_parts(lower.product, lower.step)
        ) or
          return ""
        waits = passes.drop(1).sum { |pass| pass.needs.filter_map { |need| opening(context, need) }.max || 0 }
        ": one pot may be used for #{context.duration(until_minute - now)}, and its coats take " \
        "#{context.duration(passes.sum(&:hands_min) + waits)} with the waits between them"
      end

      def opening(context, need)
        now = context.shop.now
        context.plan.drier.opening(context.plan.model.passes[need.pass], need.milestone, need.pair)&.at(now)&.-(now)
      end

      # What it takes at a time, and what there is.
      def too_long(context, step)
        most = context.plan
          .queues
          .fetch(context.piece.id)
          .select { |pass| pass.step["id"] == step["id"] && !pass.pauses }
          .max_by { |pass| pass.setup_min + pass.each_min + pass.cleanup_min } or
          return ""
        there = context.shop.hands_for(most.skill, context.piece.by).map { |person| person.calendar.longest }.max or
          return ""
        ": it takes #{context.duration(most.setup_min + most.each_min + most.cleanup_min)} in one go, and the " \
        "longest open stretch is #{context.duration(there)}. Large faces are planned as several"
      end

      # Quicker ways to lay it on: shown where a date comes of it.
      def faster(context, step)
        product = context.shop.products[step["product"]] or return []
        (Schedule::Kinds.methods(step["kind"], product) - [ step["method"] ]).filter_map do |method|
          set = {
            "method" => method, "gun" => nil,
            **(step["kind"] == "coat" ? { "wet_um" => product.wet_um(method).value } : {})
          }
          operation = { "op" => "change_step", "id" => step["id"], "set" => set }
          ready = context.plan
            .with_schedule(context.piece.id,
                           Schedule::Edit.apply(context.document, operation)).build.ready[context.piece.id]
          if ready
            context.remedy("Have it #{Materials::Methods::DONE.fetch(method)}: ready #{context.clock(ready)}",
                           operation)
          end
        end
      end

      # Rooms in which the work can dry: shown where a date comes of it.
      def elsewhere(context)
        laid = context.document["steps"].select { |step| %w[stain coat].include?(step["kind"]) }
        context.shop.rooms.each_value.reject { |room| room.rack_places&.zero? }.filter_map do |room|
          operation = {
            "op" => "all",
            "operations" => laid.map { |step|
              { "op" => "change_step", "id" => step["id"], "set" => { "dry_room" => room.id } }
            }
          }
          ready = context.plan
            .with_schedule(context.piece.id,
                           Schedule::Edit.apply(context.document, operation)).build.ready[context.piece.id]
          context.remedy("Let it dry in the #{room.id}: ready #{context.clock(ready)}", operation) if ready
        end
      end

      # Hardener at either end of its range, where the sheet gives pot life and cure there: shown where a date comes
      # of it.
      def shares(context)
        coats = context.document["steps"].select do |step|
          step["kind"] == "coat" && (product = context.shop.products[step["product"]])&.pot_life_by_hardener &&
            product.class_id != "epoxy_clear"
        end
        coats
          .flat_map { |step|
          context.shop.products[step["product"]]
          .pot_life_by_hardener
          .map(&:first)
          .map { |parts| [ step, parts ] }
        }
          .filter_map do |step, parts|
          operation = { "op" => "change_step", "id" => step["id"], "set" => { "hardener_parts" => parts } }
          ready = context.plan
            .with_schedule(context.piece.id,
                           Schedule::Edit.apply(context.document, operation)).build.ready[context.piece.id]
          if ready
            context.remedy("Use #{format("%g", parts)} parts of hardener: ready #{context.clock(ready)}", operation)
          end
        end
      end

      WHY = {
        "milestone" => "What it waits for is not reached within 400 days in this air",
        "hours" => "Nobody who may do it is there long enough at a time",
        "rack" => "The rack of the room it is to dry in has no places",
        "hard_window" => "Its window is shorter than what has to happen in it",
        "search" => "No place was found for it among the work there is"
      }.freeze
      WINDOWS = {
        "one_batch" => "Mix a pot for each coat", "wet_on_wet" => "Let each coat wait for its window",
        "while_soft" => "Level when it is dry to sand", "wipe_off" => "Lay on so little that nothing is wiped off"
      }.freeze

      def without_window(context, step, constraint)
        flag = WINDOWS.keys.find { |name| step[name] } if constraint == "hard_window"
        flag &&
          context.remedy(WINDOWS.fetch(flag), { "op" => "change_step", "id" => step["id"], "set" => { flag => nil } })
      end
      private_class_method :without_window, :too_long, :faster, :figures, :pot, :opening, :elsewhere, :shares
    end
  end
end
