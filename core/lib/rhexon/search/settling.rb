module Rhexon
  module Search
    # Writes a pass into a build and takes what it uses: hands, room, rack, tool.
    # Reads +@m+ (Model), +@t+ (Trial), +@holds+, +@reserved+ and +@relaxed+ of the build it is part of.
    module Settling
      private

      # From here on others can wait for it, and its hands, room and tool are taken.
      def settle(index, spot)
        finish = spot.stretches ? spot.stretches[-1][1] : spot.start + @m.hands[index]
        work = spot.start + @m.setup[index]
        @t.start[index] = spot.start
        @t.work_start[index] = work
        @t.first_end[index] = @m.kind[index] == :wait ? finish : work + @m.each_min[index]
        @t.work_end[index] = finish - @m.cleanup[index]
        @t.hands_end[index] = finish
        @t.early[index] = early(index, work)
        @t.who[index] = spot.who
        @t.stretches[index] = spot.stretches
        @t.asked[index] = @asked
        @t.why[index] = @holds[index] && spot.start >= @holds[index] && spot.why != :pin ? :goal : spot.why
        @t.ends[@m.piece_of[index]] = finish
        occupy(index, spot, work, finish) unless @relaxed || spot.who.nil?
      end

      def occupy(index, spot, work, finish)
        put_scuff(index, spot.scuff) if spot.scuff
        unless @reserved.key?(index)
          spot.stretches ? spot.stretches.each { |from, till| @t.lanes[spot.who].take(from, till) } : @t.lanes[spot.who].take(spot.start, finish)
        end
        here = @t.floors[@m.room[index]]
        here.lane&.take(spot.start, finish)
        here.dusty.add(work, finish + @m.settles[index]) if @m.dust[index]
        off_the_rack(index, spot.start) if @m.racked?
        leave_wet(index, here, work) if @m.wet[index]
        return unless spot.tool

        @t.tool[index] = spot.tool
        @t.tool_lanes[spot.tool].take(spot.start, finish)
      end

      def leave_wet(index, here, work)
        there = @t.floors[@m.dry_room[index]]
        done = @t.work_end[index]
        if (safe = @m.dust_safe[index]&.at(done, @t.early[index]))
          there.wet.add(work, safe)
          here.wet.add(work, done) unless there.equal?(here)
        end
        return unless there.rack

        there.rack.put(work, @m.handle[index]&.at(done, @t.early[index]) || done, @m.count[index], index)
        @t.lying[@m.piece_of[index]] << [ index, @m.passes[index].range.to_a ]
      end

      # The next work on a piece takes it from where it lay; each of alike pieces stays there until it is handled itself.
      def off_the_rack(index, minute)
        mine = @m.passes[index].range
        @t.lying[@m.piece_of[index]].reject! do |lower, pieces|
          next if lower >= index

          taken = pieces.select { |piece| mine.cover?(piece) }
          @t.floors[@m.dry_room[lower]].rack&.take(lower, minute, taken.size) if taken.any?
          pieces.reject! { |piece| mine.cover?(piece) }
          pieces.empty?
        end
      end
    end
  end
end
