module Rhexon
  module Drying
    # The air of a room over time: what is known hour by hour (a forecast, a logger file), and before and after that its daily pattern,
    # or steady air. Each value holds until the next.
    class Line
      HOUR = 60
      # Lines read lately: rooms keep their air while schedules change.
      KEPT = 60
      @kept = {}

      class << self
        # @param record [Hash] a room of rhexon-shop/1: "climate" [{"from", "t_c", "rh", "air"}], "daily" [{"at", "t_c", "rh", "air"}]
        # @param zone [Planning::Zone] of the daily pattern
        # @return [Line]
        # @raise [Refusal]
        def read(record, zone)
          key = [ record["climate"], record["daily"], zone.name ]
          @kept[key] ||= begin
            @kept.shift if @kept.size >= KEPT
            new(known(record["climate"] || []), daily(record["daily"] || []), zone)
          end
        end

        # @param climate [Climate]
        # @return [Line]
        def steady(climate) = new([ [ nil, climate ] ], [], nil)

        private

        def known(entries)
          found = entries.map { |entry| [ entry["from"] && Planning::Zone.minute(entry["from"], where: "climate/from"), climate(entry) ] }
          Rhexon.refuse_unless(found.size < 2 || found.all?(&:first), "Each of several entries says from when it holds", where: "climate/from", accepted: "2026-11-25T10:30+01:00")
          found.sort_by { |from, _| from || 0 }
        end

        def daily(entries)
          entries.map { |entry| [ entry["at"].split(":").then { |hours, minutes| hours.to_i * 60 + minutes.to_i }, climate(entry) ] }.sort_by(&:first)
        end

        def climate(entry) = Climate.new(t_c: entry["t_c"], rh: entry["rh"], air: entry["air"] || "ordinary")
      end

      # @param known [Array<Array(Integer or nil, Climate)>] from a minute on
      # @param daily [Array<Array(Integer, Climate)>] from a minute of the local day on
      def initialize(known, daily, zone)
        Rhexon.refuse_unless(known.any? || daily.any?, "A room has air", where: "climate", accepted: "at least one entry, or a daily pattern")
        @known = known
        @daily = daily
        @zone = zone
        @progress = {}
        @ends = known.last&.first && daily.any? ? known.last.first + HOUR : nil
      end

      def steady? = @daily.empty? && @known.size == 1

      # @return [Climate] at a minute
      def at(minute)
        return of_day(minute) if @known.empty? || (@daily.any? && (minute < @known.first.first.to_i || (@ends && minute >= @ends)))

        index = @known.bsearch_index { |from, _| from && from > minute }
        (index.nil? ? @known.last : @known[[ index - 1, 0 ].max]).last
      end

      # @return [Integer, nil] the next minute at which the air may change; nil: never again
      def change_after(minute)
        return if steady?

        found = [ @known.find { |from, _| from && from > minute }&.first, (@ends if @ends && @ends > minute), (@daily.any? ? day_change(minute) : nil) ].compact.min
        found
      end

      # How a process runs on in this air.
      # @param key [Object] what the rate depends on
      # @yieldparam climate [Climate]
      # @yieldreturn [Float] reference minutes a minute
      # @return [Progress]
      def progress(key, &rate) = @progress[key] ||= Progress.new(self, rate)

      # Warmest and coldest of a stretch of time.
      # @return [Array(Float, Float)] °C
      def span_c(from, to)
        temperatures = []
        minute = from
        while minute && minute <= to
          temperatures << at(minute).t_c
          minute = change_after(minute)
        end
        temperatures.minmax
      end

      private

      def of_day(minute)
        local = minute_of_day(minute)
        (@daily.reverse.find { |at, _| at <= local } || @daily.last).last
      end

      def day_change(minute)
        date = @zone.date(minute)
        (0..1).each do |days|
          found = @daily.map { |at, _| @zone.at(date + days, format("%02d:%02d", *at.divmod(60))) }.find { |change| change > minute }
          return found if found
        end
      end

      def minute_of_day(minute) = minute - @zone.at(@zone.date(minute), "00:00")
    end
  end
end
