module Rhexon
  module Search
    # Scuffs before coats whose window was lost, or as the house has it.
    # Reads +@m+, +@t+ and +@holds+ of the build it is part of.
    module Scuffing
      TRIES = 40

      private

      # @param work [Integer] minute the coat's work would start
      def scuff_first?(index, work)
        unders = @m.unders[index]
        return false if unders.empty? || @t.scuff[index] || fresh_from_log?(index, work)

        over = shut = false
        unders.each do |under|
          next if fresh?(under, work)

          shut = true
          over ||= (closes = under.closing&.at(@t.first_end[under.lower])) && work > closes
        end
        return @m.house(index, "missed_window") == "scuff" && (@m.passes[index].hard.nil? || @m.passes[index].hard.kind == "one_batch") if over

        shut && unders.none? { |under| fresh?(under, work) } && school?(index, unders, work)
      end

      # Any dry abrasion of the whole face after its last coat, not older than the house rule allows.
      def fresh?(under, work)
        under.abraded.any? { |index| (done = @t.hands_end[index]) && done >= @t.work_end[under.lower] && done <= work && work <= done + @m.house(under.lower, "scuff_valid_min") }
      end

      def fresh_from_log?(index, work)
        done = @m.logged.scuffs[@m.passes[index].key]&.hands_end
        done && done <= work && work <= done + @m.house(index, "scuff_valid_min")
      end

      def school?(index, unders, work)
        case @m.house(index, "scuff")
        when "always" then unders.any?(&:scuffs)
        when "after_a_night" then unders.any? { |under| under.scuffs && @m.shop.zone.day(@t.work_end[under.lower]) != @m.shop.zone.day(work) }
        else false
        end
      end

      # The scuff is done when the film is dry to sand, normally right before the coat; where dust must settle in the same room, that much earlier.
      # A hold of the scuff itself (key: ~index) lets it go before other work, so that the morning is free for the coat.
      def with_scuff(index, from, coat)
        minutes = ceil(@m.scuff_min[index])
        sanded = @m.unders[index].filter_map { |under| under.sand && open_at_or_logged(under) }.max
        earliest = [ @now, @t.ends[@m.piece_of[index]], sanded ].compact.max
        gap = gap(index)
        ahead = @holds.key?(~index)
        at = ahead ? earliest : [ earliest, from - minutes - gap ].max
        TRIES.times do
          scuff = scuff_from(index, at, minutes)
          coat = first_fit(index, [ from, scuff[1] + gap ].max, coat.why)
          scuff = nearer(index, scuff, coat.start - gap, minutes) unless ahead
          coat.scuff = scuff
          return coat if coat.start + @m.setup[index] <= scuff[1] + @m.house(index, "scuff_valid_min")

          at = coat.start - gap - minutes
          ahead = false
        end
        coat
      end

      # Dust in the coat's own room settles before its work.
      def gap(index) = @m.scuff_room[index] == @m.room[index] ? [ @m.settles[index] - @m.setup[index], 0 ].max : 0

      def open_at_or_logged(under)
        placed = @m.logged.placed[under.lower]
        placed ? @m.drier.reached_at(placed, "sand") : open_at(under.lower, under.sand)
      end

      # @param minutes [Integer] of hands, on the grid
      # @param length [Integer] of dust
      # @return [Array(Integer, Integer, Integer)] start, end, person
      def scuff_from(index, from, minutes, length = @m.scuff_min[index])
        here = @t.floors[@m.scuff_room[index]]
        while true
          start, who = @m.scuff_crew[index].filter_map { |person| (found = @t.lanes[person].slot(from, minutes)) && [ found, person ] }.min
          raise Construct::Blocked.new(:hours, index) unless start

          later = here.lane ? here.lane.slot(start, minutes) : start
          dry = here.wet.clash(start, start + length + @m.settles[index]) if later == start
          later = ceil(dry) if dry
          return [ start, start + length, who ] if later == start

          from = later
        end
      end

      # Moved up to the coat, if that can be.
      def nearer(index, scuff, finish, minutes)
        return scuff unless finish - minutes > scuff[0]

        later = scuff_from(index, finish - minutes, minutes)
        later[1] <= finish ? later : scuff
      rescue Construct::Blocked
        scuff
      end

      def put_scuff(index, scuff)
        start, finish, who = scuff
        @t.scuff[index] = scuff
        @t.lanes[who].take(start, finish)
        here = @t.floors[@m.scuff_room[index]]
        here.lane&.take(start, finish)
        here.dusty.add(start, finish + @m.settles[index])
        off_the_rack(index, start) if @m.racked?
      end
    end
  end
end
