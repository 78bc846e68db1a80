module Rhexon
  module Drying
    # A process in changing air: cumulative reference minutes over time, looked up both ways. Piecewise linear, since the air holds between its changes;
    # reached(from, needed) is where the integral of the rate from +from+ equals +needed+.
    class Progress
      HORIZON_MIN = 400 * 1440
      # The table begins this long before the first minute asked, so that what was laid a little earlier is in it.
      BACK_MIN = 3 * 1440

      # @param line [Line]
      # @param rate [Proc] (Climate) -> reference minutes a minute
      def initialize(line, rate)
        @line = line
        @rate = rate
        @times = []
        @done = []
        @rates = []
        # Lines are kept between plans, and plans are made in several threads.
        @lock = Mutex.new
      end

      # @param from [Numeric] minute
      # @param needed [Numeric] reference minutes
      # @return [Float, nil] minute; nil when it is not reached within 400 days
      def reached(from, needed)
        return from.to_f if needed.zero?
        return (from + needed / @line_rate unless @line_rate.zero?) if steady?

        @lock.synchronize do
          start(from)
          target = at(from) + needed
          extend_table while @done.last < target && @times.last < from + HORIZON_MIN
          next if @done.last < target

          index = @done.bsearch_index { |done| done >= target } - 1
          @times[index] + (target - @done[index]) / @rates[index]
        end
      end

      # @return [Float] reference minutes that pass between two minutes
      def between(from, to)
        return (to - from) * @line_rate if steady?

        @lock.synchronize do
          start([ from, to ].min)
          at(to) - at(from)
        end
      end

      # @return [Array<Array(Integer, Float)>] from a minute on this rate, over a stretch of time
      def rates(from, to)
        return [ [ from, @line_rate ] ] if steady?

        @lock.synchronize do
          start(from)
          extend_table while @times.last < to
          first = (@times.bsearch_index { |time| time > from } || @times.size) - 1
          [ [ from, @rates[first] ] ] + @times.each_index.select { |index| index > first && @times[index] < to }.map { |index| [ @times[index], @rates[index] ] }
        end
      end

      private

      def steady?
        return @steady unless @steady.nil?

        @steady = @line.steady?
        @line_rate = @rate.call(@line.at(0)) if @steady
        @steady
      end

      # A table that begins too late is begun again.
      def start(minute)
        return if @times.any? && @times.first <= minute

        last = @times.last
        @times = [ minute.floor - BACK_MIN ]
        @done = [ 0.0 ]
        @rates = [ @rate.call(@line.at(@times.first)) ]
        extend_table while last && @times.last < last
      end

      def at(minute)
        extend_table while @times.last < minute
        index = (@times.bsearch_index { |time| time > minute } || @times.size) - 1
        @done[index] + (minute - @times[index]) * @rates[index]
      end

      def extend_table
        change = @line.change_after(@times.last) || @times.last + HORIZON_MIN
        @done << @done.last + (change - @times.last) * @rates.last
        @times << change
        @rates << @rate.call(@line.at(change))
      end
    end
  end
end
