module Rhexon
  module Chance
    # A plan pushed through drawn drying, weather and hand times: order and people as planned, each pass at its
    # earliest legal time, lost windows scuffed, pins kept, nothing planned anew. One belief a product and group and
    # one air a day in each run, noise from coat to coat.
    # Dust, spray rooms and tools keep their planned order; racks are left out.
    class Sampling
      # @!attribute ready  [Array<Array<Integer>>] by piece: minute it is ready, run after run
      # @!attribute drying [Array<Array<Float>>] by pass: minutes from laid to what it was waited for, run after run
      attr_reader :ready, :drying

      # @param plan [Planning::Plan]
      # @param runs [Integer]
      def initialize(plan, runs)
        @plan = plan
        @model = plan.model
        @hand_sd = Reference.drying.chance.hand_sd
        @draws = Draws.new(plan.shop.seed)
        @weather = Weather.new(plan.shop.zone, @draws)
        @course = Course.new(plan, @draws)
        @ready = Array.new(@model.pieces.size) { [] }
        @drying = Array.new(@model.size) { [] }
        runs.times { |run| push(run) }
      end

      private

      def push(run)
        @weather.run = run
        @run = run
        @scale = @course.factors(run)
        @work_end, @first_end, @hands_end = @course.fixed
        @span = Array.new(@model.size, 0.0)
        @piece_end = @model.logged.ends.dup
        @person_end = Hash.new(@plan.shop.now)
        @wet_until = Hash.new(0)
        @dusty_until = Hash.new(0)
        @single_end = Hash.new(0)
        @scuffed_at = {}
        @course.steps.each { |step| step.scuff ? scuff(step) : place(step) }
        @model.pieces.each_index { |piece| (minute = ready_at(piece)) && @ready[piece] << minute }
        @span.each_with_index { |minutes, index| @drying[index] << minutes }
      end

      def earliest(step, reached)
        [
          @piece_end[step.piece], @person_end[step.person], @single_end[step.room], @single_end[step.tool],
          step.not_before, reached - step.setup,
          (@wet_until[step.room] - step.setup if step.dust),
          (@plan.shop.zone.end_of_day(@first_end[step.after_day]) if step.after_day && @first_end[step.after_day]),
          (@dusty_until[step.dry_room] - step.setup if step.film)
        ].compact.max
      end

      def place(step)
        index = step.index
        reached = latest(step.waits)
        return wait(step, reached) if step.person.nil?

        from = earliest(step, reached)
        length = hands(step)
        start = open_at(step.person, from, length)
        start = after_scuff(step, start, length) if step.film && lost?(step, start + step.setup)
        settle(step, start, length)
        take(step, index)
      end

      def wait(step, reached)
        finish = [ @piece_end[step.piece] + step.minutes, reached ].max
        @work_end[step.index] = @first_end[step.index] = @hands_end[step.index] = finish
        @piece_end[step.piece] = finish
      end

      def scuff(step)
        from = [ @piece_end[step.piece], @person_end[step.person], @wet_until[step.room], latest(step.waits) ].max
        start = open_at(step.person, from, step.work)
        @piece_end[step.piece] = @person_end[step.person] = @scuffed_at[step.index] = start + step.work
        @dusty_until[step.room] = start + step.work + step.settles
      end

      # Minutes of hands, with set-up and clean-up.
      def hands(step)
        step.setup + (step.work * Math.exp(@hand_sd * @draws.normal(step.hand_key, @run))).ceil + step.cleanup
      end

      def settle(step, start, length)
        @work_end[step.index] = start + length - step.cleanup
        @first_end[step.index] = start + step.setup + (length - step.setup - step.cleanup) / step.count
        @hands_end[step.index] = @piece_end[step.piece] = @person_end[step.person] = start + length
      end

      def take(step, index)
        @single_end[step.room] = @hands_end[index] if step.single
        @single_end[step.tool] = @hands_end[index] if step.tool
        @dusty_until[step.room] = @hands_end[index] + step.settles if step.dust
        return unless step.film && step.dust_safe

        @wet_until[step.dry_room] = [ @wet_until[step.dry_room], opened(step.dust_safe) || 0 ].max
      end

      # @return [Integer] when the last of them is reached
      def latest(waits)
        minute = 0
        waits.each do |wait|
          reached = wait.fixed || opened(wait)
          minute = reached if reached && reached > minute
        end
        minute
      end

      # When a coat of this run reaches a milestone.
      def opened(wait)
        from = @work_end[wait.lower] or return
        latest = from + wait.least
        wait.parts.each do |part|
          needed = part.needed * @scale[part.draw] * @course.noise(wait.lower, part.phase, @run)
          minute = @weather.reached(part.process, from, needed)
          return unless minute

          latest = minute if minute > latest
        end
        @span[wait.lower] = latest - from if latest - from > @span[wait.lower]
        latest.ceil
      end

      def lost?(step, work)
        if @scuffed_at[step.index] || step.unders.empty? || @model.house(step.index, "missed_window") != "scuff"
          return false
        end

        valid = @model.house(step.index, "scuff_valid_min")
        step.unders.any? do |under|
          (from = @first_end[under.lower]) && under.closing && work > under.closing.at(from) &&
            !fresh?(under, work, valid)
        end
      end

      def fresh?(under, work, valid)
        under.abraded.all? do |face|
          face.any? { |rub| (done = @hands_end[rub]) && done >= @work_end[under.lower] && work <= done + valid }
        end
      end

      def after_scuff(step, start, length)
        from = [ @piece_end[step.piece], @person_end[step.person], start - step.scuff_min ].max
        open_at(step.person, from, step.scuff_min + length) + step.scuff_min
      end

      # First minute from which so many minutes fit into the hours of a person; longer ones run over.
      def open_at(person, from, length)
        hours = @model.hours[person]
        index = hours.shuts.bsearch_index { |shut| shut > from }
        while index
          start = hours.opens[index] > from ? hours.opens[index] : from
          if start + length <= hours.shuts[index] ||
              (start == hours.opens[index] && length > hours.shuts[index] - start)
            return start
          end

          index += 1
          return from if index >= hours.shuts.size && !hours.grow
        end
        hours.grow ? open_at(person, from, length) : from
      end

      def ready_at(piece)
        latest = @hands_end[@model.worked_until[piece]] || @piece_end[piece]
        @course.last_coats[piece].each do |wait|
          reached = wait.fixed || opened(wait) or return
          latest = reached if reached > latest
        end
        latest
      end
    end
  end
end
