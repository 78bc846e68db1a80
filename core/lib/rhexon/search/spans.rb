module Rhexon
  module Search
    # A growing set of minutes as disjoint half-open spans in order: when a room is wet, when its air is full of dust.
    class Spans
      def initialize
        @from = []
        @to = []
      end

      # @return [Integer, nil] end of the first span that overlaps a stretch
      def clash(from, to)
        index = @to.bsearch_index { |finish| finish > from }
        index && @from[index] < to ? @to[index] : nil
      end

      def add(from, to)
        return if to <= from

        first = @to.bsearch_index { |finish| finish >= from } || @to.size
        last = first
        while last < @from.size && @from[last] <= to
          from = @from[last] if @from[last] < from
          to = @to[last] if @to[last] > to
          last += 1
        end
        @from[first...last] = [ from ]
        @to[first...last] = [ to ]
      end
    end
  end
end
