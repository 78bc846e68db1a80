module Rhexon
  module Drying
    # The air of a room over time: what is known hour by hour (a forecast, a logger file), and where nothing is known
    # its daily pattern, or steady air. A known value holds until its own end; one without an end until the next, or
    # for an hour where a pattern goes on.
    class ClimateTimeline
      HOUR = 60
      DAY = 1440
      # Lines read lately: rooms keep their air while schedules change.
      @kept = Cache.new(60)

      class << self
        # @param record [Hash] a room of rhexon-shop/1: "climate" [{"from", "until", "t_c", "rh", "air"}], "daily"
        #   [{"at", "t_c", "rh", "air"}]
        # @param zone [Zone] of the daily pattern
        # @return [ClimateTimeline]
        # @raise [InvalidInput]
        def read(record, zone)
          key = [ record["climate"], record["daily"], zone.name ]
          @kept.fetch(key) do
            new(known(record["climate"] || [], record["daily"].nil?), daily(record["daily"] || []), zone)
          end
        end

        # @param climate [Climate]
        # @return [ClimateTimeline]
        def steady(climate) = new([ [ nil, climate ] ], [], nil)

        private

        def known(entries, alone)
          return entries.map { |entry| [ nil, climate(entry) ] } if entries.size == 1 && entries[0]["from"].nil?

          Rhexon.refuse_unless(
            entries.all? { |entry| entry["from"] }, "Each of several entries says from when it holds",
            where: "climate/from", accepted: "2026-11-25T10:30+01:00"
          )
          spans = entries
            .map { |entry| [ minute(entry, "from"), entry["until"] && minute(entry, "until"), climate(entry) ] }
            .sort_by(&:first)
          spans.each_with_index do |span, index|
            span[1] ||= spans[index + 1]&.first || (alone ? Float::INFINITY : span[0] + HOUR)
          end
          flat(spans)
        end

        def minute(entry, field) = Zone.minute(entry[field], where: "climate/#{field}")

        # Where spans lie over each other the one that began last counts; nil stands where none does.
        def flat(spans)
          edges = spans.flat_map { |from, till, _| [ from, till ] }.reject(&:infinite?).uniq.sort
          open = []
          rest = spans.dup
          edges.map do |edge|
            open << rest.shift while rest.any? && rest.first[0] <= edge
            open.reject! { |_, till, _| till <= edge }
            [ edge, open.max_by(&:first)&.last ]
          end
        end

        def daily(entries)
          entries
            .map { |entry|
              [ entry["at"].split(":").then { |hours, minutes| hours.to_i * 60 + minutes.to_i }, climate(entry) ]
            }
            .sort_by(&:first)
        end

        def climate(entry) = Climate.new(t_c: entry["t_c"], rh: entry["rh"], air: entry["air"] || "ordinary")
      end

      # @param known [Array<Array(Integer or nil, Climate or nil)>] from a minute on; nil: not known
      # @param daily [Array<Array(Integer, Climate)>] from a minute of the local day on
      def initialize(known, daily, zone)
        Rhexon.refuse_unless(
          known.any? || daily.any?, "A room has air", where: "climate",
          accepted: "at least one entry, or a daily pattern"
        )
        @known = known
        @daily = daily
        @zone = zone
        @progress = {}
        @knots = {}
      end

      def steady? = @daily.empty? && @known.size == 1

      # @return [Climate] at a minute; without a pattern the nearest value that is known
      def at(minute)
        index = (@known.bsearch_index { |from, _| from && from > minute } || @known.size) - 1
        reading = index >= 0 ? @known[index].last : nil
        reading || (@daily.any? ? of_day(minute) : nearest(index))
      end

      # @return [Integer, nil] the next minute at which the air may change; nil: never again
      def change_after(minute)
        return if steady?

        index = @known.bsearch_index { |from, _| from && from > minute }
        [ index && @known[index].first, (day_change(minute) if @daily.any?) ].compact.min
      end

      # How a process runs on in this air.
      # @param key [Object] what the rate depends on
      # @yieldparam climate [Climate]
      # @yieldreturn [Float] reference minutes a minute
      # @return [Progress]
      def progress(key, &rate) = @progress[key] ||= Progress.new(self, rate)

      # The air of a stretch of time.
      # @return [Array<Climate>] in order
      def between(from, to)
        points = [ at(from) ]
        minute = from
        points << at(minute) while (minute = change_after(minute)) && minute < to
        points
      end

      private

      def nearest(index) = (@known.first([ index + 1, 0 ].max).reverse + @known).find { |_, climate| climate }.last

      def of_day(minute) = knots(minute / DAY).reverse_each.find { |from, _| from <= minute }.last

      def day_change(minute)
        (minute / DAY..).each do |day|
          change = knots(day).find { |from, _| from > minute }
          return change.first if change
        end
      end

      # The pattern over one day of UTC, reckoned once: what holds at its beginning, and each change in it.
      def knots(day)
        @knots[day] ||= begin
          first = @zone.date(day * DAY) - 1
          all = (0..2).flat_map do |later|
            @daily.map { |at, climate| [ @zone.at(first + later, format("%02d:%02d", *at.divmod(60))), climate ] }
          end
          before, within = all.partition { |from, _| from <= day * DAY }
          [ before.last, *within.select { |from, _| from < (day + 1) * DAY } ]
        end
      end
    end
  end
end
