module Rhexon
  module Planning
    # Open intervals of one pair of hands as flat arrays, from now on; they grow when a build asks for more.
    class Hours
      FIRST_DAYS = 60
      GROWN_DAYS = 120

      attr_reader :opens, :shuts

      # @param calendar [Planning::Calendar]
      # @param now [Integer]
      # @param horizon [Integer] minute after which nothing is asked
      def initialize(calendar, now, horizon)
        @calendar = calendar
        @now = now
        @horizon = horizon
        @opens = []
        @shuts = []
        @until = now
        grow(FIRST_DAYS)
      end

      # @return [Boolean] there were more
      def grow(days = GROWN_DAYS)
        return false if @until > @horizon

        @until += days * 1440
        known = @shuts.last || @now
        @calendar.settled(known, @until).each do |open, shut|
          @opens << [ open, known ].max
          @shuts << shut
        end
        true
      end

      # @return [Boolean] the hands close at that minute
      def shut_at?(minute) = (index = @shuts.bsearch_index { |shut| shut >= minute }) && @shuts[index] == minute

      # @return [Integer, nil] end of the open interval that holds the minute
      def shut_after(minute)
        index = @shuts.bsearch_index { |shut| shut > minute }
        index && @opens[index] <= minute ? @shuts[index] : nil
      end

      # @return [Integer, nil] the next opening after a minute
      def opening_after(minute)
        index = @opens.bsearch_index { |open| open > minute }
        index ? @opens[index] : (grow && opening_after(minute))
      end

      # @return [Integer, nil] latest start, on the grid, so that +length+ minutes end by +finish+ inside one open
      #   interval
      def latest_start(finish, length)
        grow while @shuts.any? && @shuts.last < finish && @until <= @horizon && @until < finish
        index = (@opens.bsearch_index { |open| open >= finish } || @opens.size) - 1
        while index >= 0
          start = Calendar.floor([ finish, @shuts[index] ].min - length)
          return start if start >= @opens[index]

          index -= 1
        end
        nil
      end

      # Minutes of hands between two minutes.
      def open_min(from, to)
        @opens.each_index.sum { |index| [ [ @shuts[index], to ].min - [ @opens[index], from ].max, 0 ].max }
      end
    end
  end
end
