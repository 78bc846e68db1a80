module Rhexon
  module Planning
    # Open hours of a person, expanded day by day into half-open intervals of UTC minutes.
    class Calendar
      DAYS = %w[sun mon tue wed thu fri sat].freeze
      GRID = 5
      LONGEST = 60 * 1440

      # Calendars read lately: people keep their hours while schedules change.
      @kept = Cache.new(100)

      class << self
        # The same as new, kept between plans of one day.
        # @return [Calendar]
        def read(week:, except:, zone:, from:, days:)
          day = zone.date(from)
          @kept.fetch([ week, except, zone.name, day, days ]) do
            new(week: week, except: except, zone: zone, from: from, days: days)
          end
        end

        # @param intervals [Array<Array(Integer, Integer)>]
        # @return [Array<Array(Integer, Integer)>] in order, those that touch made one
        def joined(intervals)
          intervals.sort.each_with_object([]) do |(from, to), merged|
            merged.last && from <= merged.last[1] ? merged.last[1] = [ merged.last[1], to ].max : merged << [ from, to ]
          end
        end

        def ceil(minute) = -(-minute / GRID) * GRID
        def floor(minute) = minute / GRID * GRID
      end

      # @param week [Hash{String=>Array}] "mon" => [["07:30","12:00"], ...]
      # @param except [Array<Hash>] {"date"=>"2026-12-24","open"=>[...]}: replaces that day
      # @param zone [Zone]
      # @param from [Integer] minute before which nothing is asked
      # @param days [Integer] horizon
      def initialize(week:, except:, zone:, from:, days:)
        @week = week
        @except = (except || []).to_h { |day| [ parse_date(day["date"]), day["open"] ] }
        @zone = zone
        @next_date = zone.date(from) - 7
        @last_date = zone.date(from) + days
        @intervals = []
        @covered = 0
        @lock = Mutex.new
      end

      # @return [Array<Array(Integer, Integer)>] open intervals that end after +from+ and start before +to+
      def between(from, to)
        extend_to(to)
        @intervals.select { |start, finish| finish > from && start < to }
      end

      # The same, with the last one as long as it will ever be.
      def settled(from, to)
        extend_to(to)
        extend_day while growing?
        @intervals.select { |start, finish| finish > from && start < to }
      end

      # Open intervals from a minute on, to the horizon.
      # @return [Enumerator]
      def from(minute)
        return enum_for(:from, minute) unless block_given?

        index = first_ending_after(minute)
        loop do
          extend_day while index >= @intervals.size - 1 && growing?
          index >= @intervals.size and (extend_day or return)
          next if index >= @intervals.size

          yield @intervals[index]
          index += 1
        end
      end

      # @return [Integer] minutes of the longest open interval of an ordinary week
      def longest
        @longest ||= @week.each_value.flat_map { |day| day.map { |from, to| clock(to) - clock(from) } }.max || 0
      end

      # @return [Integer] minutes from the first opening to the last closing of the longest ordinary day
      def longest_day
        @longest_day ||= @week.each_value.reject(&:empty?).map { |day|
          clock(day.last[1]) - clock(day.first[0])
        }.max || 0
      end

      private

      def extend_to(minute)
        extend_day while @next_date <= @last_date && @covered < minute
      end

      # Calendars are kept between plans, and plans are made in several threads.
      def extend_day = @lock.synchronize { add_day }

      def add_day
        return false if @next_date > @last_date

        spans = @except.fetch(@next_date) { @week.fetch(DAYS[@next_date.wday], []) }
        spans.each { |from, to| add(@zone.at(@next_date, from), @zone.at(@next_date, to)) }
        @next_date += 1
        @covered = @zone.at(@next_date, "00:00")
        true
      end

      # Hours that run through midnight are one interval, of 60 days at most.
      def add(start, finish)
        return if finish <= start

        last = @intervals.last
        last && last[1] == start && finish - last[0] <= LONGEST ? last[1] = finish : @intervals << [ start, finish ]
      end

      # The next day may still lengthen the last interval.
      def growing?
        @next_date <= @last_date && @intervals.any? && @intervals.last[1] == @covered &&
          @covered - @intervals.last[0] < LONGEST
      end

      def first_ending_after(minute)
        extend_to(minute + 1)
        @intervals.bsearch_index { |_, finish| finish > minute } || @intervals.size
      end

      def clock(text) = text.split(":").then { |hours, minutes| hours.to_i * 60 + minutes.to_i }

      def parse_date(text)
        Date.iso8601(text)
      rescue ArgumentError, TypeError
        raise InvalidInput.new("#{text.inspect} is not a date", where: "people/except", accepted: "2026-12-24")
      end
    end
  end
end
