module Rhexon
  module Planning
    # Free stretches of one pair of hands, a tool, or a room that serves one pass at a time, while a plan is built.
    class Lane
      GRID = Calendar::GRID

      # Inside one face work pauses only where both stretches are worth beginning, minutes.
      LEAST_STRETCH = Reference.hands.least_stretch_min
      LARGE = 2 * LEAST_STRETCH

      attr_reader :hours

      # @param hours [Hours, Always]
      # @param look_back [Integer, nil] minutes before the last work in which gaps are still filled; nil: all of them
      def initialize(hours, look_back = nil)
        @hours = hours
        @from = hours.opens.dup
        @to = hours.shuts.dup
        @known = @to.size
        @look_back = look_back
        @busy_until = nil
      end

      # @return [Integer, nil] earliest start from a minute on, on the grid, of +length+ minutes in one free stretch
      def slot(from, length)
        from = -(-from / GRID) * GRID
        from = @busy_until - @look_back if @busy_until && from < @busy_until - @look_back
        first_free(from, length)
      end

      # @return [Boolean]
      def free?(start, finish)
        index = @to.bsearch_index { |till| till >= finish }
        !index.nil? && @from[index] <= start
      end

      # Earliest run of +units+ equal lengths that may pause between units, or inside large ones, and only where the
      # hands close.
      # @param lead [Integer] minutes of set-up before the first
      # @return [Array<Array(Integer, Integer)>, nil] stretches of hands
      def stretches(from, unit, units, lead = 0)
        stretches = []
        left = unit * units
        least = unit < LARGE ? unit : LEAST_STRETCH
        index = @to.bsearch_index { |finish| finish > from } || @to.size
        while true
          while index >= @to.size
            return unless grow
          end
          start = -(-[ @from[index], from ].max / GRID) * GRID
          ahead = stretches.empty? ? lead : 0
          there = @to[index] - start - ahead
          if left <= there
            return stretches << [ start, start + ahead + left ]
          elsif there >= least && @hours.shut_at?(@to[index]) && (fitting = before_closing(there, left, unit)).positive?
            stretches << [ start, start + ahead + fitting ]
            left -= fitting
          end
          index += 1
        end
      end

      # Whole units, or of a large one so much that what is left of it is worth beginning again.
      def before_closing(there, left, unit)
        done = (left % unit).zero? ? 0 : unit - left % unit
        return whole_units(there + done, unit) - done if unit < LARGE

        rest = (done + there) % unit
        rest = unit - LEAST_STRETCH if rest > unit - LEAST_STRETCH
        rest = 0 if rest < LEAST_STRETCH
        most = (done + there) / unit * unit + rest - done
        most >= LEAST_STRETCH ? most : 0
      end

      def whole_units(there, unit) = there / unit * unit

      # @param start [Integer]
      # @param finish [Integer]
      def take(start, finish)
        @busy_until = ceil(finish) if @look_back && (@busy_until.nil? || finish > @busy_until)
        index = @to.bsearch_index { |till| till > start } or return
        while index < @to.size && @from[index] < finish
          from, till = @from[index], @to[index]
          if from < start && till > finish
            @to[index] = start
            @from.insert(index + 1, finish)
            @to.insert(index + 1, till)
          elsif from < start then @to[index] = start
          elsif till > finish then @from[index] = finish
          else
            @from.delete_at(index)
            @to.delete_at(index)
            next
          end
          index += 1
        end
      end

      private

      def ceil(minute) = -(-minute / GRID) * GRID

      def first_free(from, length)
        index = @to.bsearch_index { |finish| finish >= from + length } || @to.size
        while true
          while index < @to.size
            start = @from[index]
            start = start < from ? from : -(-start / GRID) * GRID
            return start if start + length <= @to[index]

            index += 1
          end
          return unless grow
        end
      end

      def grow
        return false unless @known < @hours.shuts.size || @hours.grow

        @from.concat(@hours.opens.drop(@known))
        @to.concat(@hours.shuts.drop(@known))
        @known = @hours.shuts.size
        true
      end
    end
  end
end
