module Rhexon
  module Planning
    # One pair of hands: open hours less what is already taken.
    class Hands
      attr_reader :busy

      def initialize(calendar, busy = [])
        @calendar = calendar
        @busy = busy
      end

      # @param start [Integer]
      # @param finish [Integer]
      def take(start, finish)
        return if finish <= start

        at = @busy.bsearch_index { |from, _| from >= start } || @busy.size
        @busy.insert(at, [ start, finish ])
      end

      def give_back(start, finish) = @busy.delete([ start, finish ])

      # @return [Boolean] nothing is planned between
      def free?(start, finish)
        index = @busy.bsearch_index { |_, taken_to| taken_to > start }
        index.nil? || @busy[index][0] >= finish
      end

      # Earliest start, on the grid, of +length+ minutes in one piece inside one open interval.
      # @return [Integer, nil] nil when the horizon holds no such gap
      def slot(from, length)
        @calendar.from(from) do |open, shut|
          start = gap([ open, from ].max, shut, length)
          return start if start
        end
        nil
      end

      # Earliest run of +units+ equal lengths that may pause between units, and only at closing.
      # @return [Array<Array(Integer, Integer)>, nil] stretches of hands
      def stretches(from, unit, units)
        found = []
        @calendar.from(from) do |open, shut|
          start, fitting = run([ open, from ].max, shut, unit, units)
          next unless start

          found << [ start, start + fitting * unit ]
          units -= fitting
          return found if units.zero?
        end
        nil
      end

      private

      def gap(from, shut, length)
        start = Calendar.ceil(from)
        index = @busy.bsearch_index { |_, finish| finish > start } || @busy.size
        while start + length <= shut
          taken = @busy[index]
          return start if taken.nil? || start + length <= taken[0]

          start = Calendar.ceil([ taken[1], start ].max)
          index += 1
        end
        nil
      end

      def run(cursor, shut, unit, units)
        while (start = gap(cursor, shut, unit))
          stop = limit(start, shut)
          fitting = [ (stop - start) / unit, units ].min
          return [ start, fitting ] if fitting == units || stop == shut

          cursor = stop
        end
      end

      def limit(start, shut)
        index = @busy.bsearch_index { |_, finish| finish > start }
        index ? [ @busy[index][0], shut ].min : shut
      end
    end
  end
end
