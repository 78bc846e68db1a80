module Rhexon
  module Checks
    # Why a piece has no date, with the figures, and what would give it one: each way out is planned anew and offered
    # only where a date comes of it.
    module NoDate
      module_function

      # @return [Array<Finding>] time.due, or time.wipe_off or time.level_window where that is what cannot be kept
      def findings(context)
        block = context.plan.build.blocked[context.piece.id] or return []
        step = Schedule::Document.step(context.document, block.pass.split("/")[1])
        told = { "hard_window" => :figures, "hours" => :too_long }[block.constraint]
        reason = (one_pot_a_day(context, step) if block.constraint == "hard_window") ||
          "#{block.why.sub(/^./, &:upcase)}#{send(told, context, step) if told}"
        sentence = "#{Schedule::Words.step(step, context.shop.products[step["product"]]&.name)} cannot be planned. " \
                   "#{reason}."
        finding = context.finding(
          id(step, block.constraint), "stop",
          "No date can be given", sentence, figures: { constraint: block.constraint },
          remedies: ->(passes) { WaysOut.new(context, step).for(block.constraint, passes) }
        )
        [ finding.tap { |named| named.step = step["id"] } ]
      end

      # Which window it is that cannot be kept.
      def id(step, constraint)
        return "time.due" unless constraint == "hard_window"
        return "time.wipe_off" if step["wipe_off"]

        step["while_soft"] ? "time.level_window" : "time.due"
      end

      # What the window is, and what has to go into it.
      def figures(context, step)
        passes = with_hands(context, step)
        pass = passes.find(&:hard) or return ""
        lower = context.plan.model.passes[pass.hard.lower]
        return pot(context, lower, passes) unless pass.hard.closes

        names = [ pass.hard.closes.sub("latest", "earliest").sub("max", "min"), pass.hard.closes ]
        opens, closes = names.map { |name| lower.product.milestone(name, lower.method)&.value }
        return "" unless closes

        ": it is open from #{context.duration(opens || 0)} to #{context.duration(closes)} after laying, for " \
        "#{context.duration(pass.hands_min)} of hands"
      end

      def pot(context, lower, passes)
        usable = usable_min(context, lower) or return ""
        ": one pot may be used for #{context.duration(usable)}, and its coats take " \
        "#{context.duration(in_all(context, passes))} with the waits between them"
      end

      # The pot would last: nobody is there for as long as its coats take.
      # @return [String, nil]
      def one_pot_a_day(context, step)
        passes = with_hands(context, step)
        pass = passes.find(&:hard) or return
        return if pass.hard.closes

        needed = in_all(context, passes)
        usable = usable_min(context, context.plan.model.passes[pass.hard.lower])
        there = longest_day(context, passes)
        return if usable.nil? || needed > usable || needed <= there

        "Its coats take #{context.duration(needed)} with the waits between them, and nobody is there for longer than " \
        "#{context.duration(there)} in a day. The pot would last: it may be used for #{context.duration(usable)}"
      end

      def with_hands(context, step)
        context.plan.queues.fetch(context.piece.id).select do |pass|
          pass.step["id"] == step["id"] && pass.work.hands?
        end
      end

      def usable_min(context, lower)
        hardener = Mixing::ProductMix.hardener_parts(lower.product, lower.step)
        Mixing::PotLife.usable_until(lower.product, context.shop.line(lower.room), context.shop.now,
                                     hardener_parts: hardener)&.-(context.shop.now)
      end

      def in_all(context, passes)
        waits = passes.drop(1).sum { |pass| pass.needs.filter_map { |need| opening(context, need) }.max || 0 }
        passes.sum(&:hands_min) + waits
      end

      # From the first opening to the last closing of a day, of whoever is there longest.
      def longest_day(context, passes)
        crew = passes.flat_map { |pass| context.shop.hands_for(pass.skill, context.piece.by) }.uniq
        crew.map { |person| person.calendar.longest_day }.max || 0
      end

      def opening(context, need)
        now = context.shop.now
        context.plan.drier.opening(context.plan.model.passes[need.pass], need.milestone, need.pair)&.at(now)&.-(now)
      end

      # The pass of a step that takes longest in one go, and how long anybody is there who may do it.
      # @return [Array(Planning::Pass, Integer), nil] the pass and minutes
      def longest_go(context, step)
        passes = context.plan.queues.fetch(context.piece.id)
        in_one_go = passes.select { |pass| pass.step["id"] == step["id"] && !pass.pauses }
        most = in_one_go.max_by { |pass| pass.setup_min + pass.each_min + pass.cleanup_min } or return
        there = context.shop.hands_for(most.skill, context.piece.by).map { |person| person.calendar.longest }.max
        [ most, there ] if there
      end

      # What it takes at a time, and what there is.
      def too_long(context, step)
        pass, there = longest_go(context, step)
        return "" unless pass

        ": it takes #{context.duration(pass.setup_min + pass.each_min + pass.cleanup_min)} in one go, and the " \
        "longest open stretch is #{context.duration(there)}. Large faces are planned as several"
      end

      private_class_method :id, :too_long, :figures, :pot, :opening, :one_pot_a_day, :with_hands, :usable_min, :in_all,
                           :longest_day
    end
  end
end
