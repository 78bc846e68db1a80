module Rhexon
  module Drying
    # A process in changing air: cumulative reference minutes over time, looked up both ways. Piecewise linear, since
    # the air holds between its changes; reached(from, needed) is where the integral of the rate from +from+ equals
    # +needed+, latest_start_for(by, needed) the latest start that is there by +by+.
    class Progress
      HORIZON_MIN = 400 * 1440
      # How far a table reaches before and after the first minute asked; it grows when more is asked.
      BACK_MIN = 3 * 1440
      AHEAD_MIN = 20 * 1440
      # Below this a fraction of a minute is noise of the arithmetic, not time.
      NOISE_MIN = 1e-6

      # What is known so far: frozen, so that threads may share it.
      # @!attribute times, done, rates [Array<Numeric>] from times[i] on rates[i]; done[i] reference minutes have
      #   passed by then
      Table = Struct.new(:times, :done, :rates) do
        def at(minute)
          index = (times.bsearch_index { |time| time > minute } || times.size) - 1
          done[index] + (minute - times[index]) * rates[index]
        end

        # @return [Float] first minute at which that much is done
        def first(target)
          index = (done.bsearch_index { |value| value >= target } || done.size) - 1
          index.negative? ? times[0].to_f : times[index] + (target - done[index]) / rates[index]
        end

        # @return [Float] last minute at which no more than that is done
        def last(target)
          index = (done.bsearch_index { |value| value > target } || done.size) - 1
          times[index] + (rates[index].zero? ? 0 : (target - done[index]) / rates[index])
        end
      end

      # @param line [ClimateTimeline]
      # @param rate [Proc] (Climate) -> reference minutes a minute
      def initialize(line, rate)
        @line = line
        @rate = rate
        @line_rate = rate.call(line.at(0)) if line.steady?
        # Lines are kept between plans, and plans are made in several threads.
        @lock = Mutex.new
      end

      # @param from [Numeric] minute
      # @param needed [Numeric] reference minutes
      # @return [Float, nil] minute; nil when it is not reached within 400 days
      def reached(from, needed)
        return from.to_f if needed.zero?
        return (from + needed / @line_rate unless @line_rate.zero?) if @line_rate

        table = covering(from, from)
        target = table.at(from) + needed
        while table.done.last < target
          return if table.times.last >= from + HORIZON_MIN

          table = covering(from, table.times.last + AHEAD_MIN)
        end
        table.first(target)
      end

      # @return [Integer, nil] the first whole minute at which it is reached
      def minute(from, needed) = reached(from, needed)&.-(NOISE_MIN)&.ceil

      # @param by [Numeric] minute
      # @return [Integer, nil] the latest whole minute from which it is reached by then; nil when that is more than
      #   400 days before
      def latest_start_for(by, needed)
        return (by - needed / @line_rate + NOISE_MIN).floor unless @line_rate.nil? || @line_rate.zero?
        return if @line_rate

        table = covering(by, by)
        target = table.at(by) - needed
        while target < table.done.first
          return if table.times.first <= by - HORIZON_MIN

          table = covering(table.times.first - AHEAD_MIN, by)
        end
        (table.last(target) + NOISE_MIN).floor
      end

      # @return [Float] reference minutes that pass between two minutes
      def between(from, to)
        return (to - from) * @line_rate if @line_rate

        table = covering(*[ from, to ].minmax)
        table.at(to) - table.at(from)
      end

      # @return [Array<Array(Integer, Float)>] from a minute on this rate, over a stretch of time
      def rates(from, to)
        return [ [ from, @line_rate ] ] if @line_rate

        table = covering(from, to)
        first = (table.times.bsearch_index { |time| time > from } || table.times.size) - 1
        [ [ from, table.rates[first] ] ] +
          table.times
            .each_index
            .select { |index| index > first && table.times[index] < to }
            .map { |index| [ table.times[index], table.rates[index] ] }
      end

      private

      # @return [Table] that holds a stretch of time
      def covering(from, to)
        table = @table
        return table if table && table.times.first <= from && table.times.last > to

        @lock.synchronize do
          @table = reckon([ from.floor - BACK_MIN, @table&.times&.first ].compact.min,
                          [ to.ceil + AHEAD_MIN, @table&.times&.last ].compact.max)
        end
      end

      # Between what was reckoned from an earlier minute and what stands.
      def shift(from, times, done, rates)
        return 0.0 unless @table && @table.times.first != from

        @table.done.first - Table.new(times, done, rates).at(@table.times.first)
      end

      # A table that reaches further back counts from the same zero, so that what was looked up before still holds.
      def reckon(from, to)
        times, done, rates = @table &&
          @table.times.first == from ? @table.to_a.map(&:dup) : [ [ from ], [ 0.0 ], [ @rate.call(@line.at(from)) ] ]
        while times.last <= to
          change = @line.change_after(times.last) || [ times.last, to ].max + HORIZON_MIN
          done << done.last + (change - times.last) * rates.last
          times << change
          rates << @rate.call(@line.at(change))
        end
        shift = shift(from, times, done, rates)
        Table.new(times.freeze, (shift.zero? ? done : done.map { |value| value + shift }).freeze, rates.freeze).freeze
      end
    end
  end
end
