module Rhexon
  module Search
    # Writes a pass into a build and takes what it uses: hands, room, rack, tool.
    # Reads +@model+ (Model), +@partial+ (PartialSchedule), +@holds+, +@reserved+ and +@relaxed+ of the build it is
    # part of.
    module ResourceBooking
      private

      # From here on others can wait for it, and its hands, room and tool are taken.
      def settle(index, spot)
        finish = spot.stretches ? spot.stretches[-1][1] : spot.start + @model.hands[index]
        work = spot.start + @model.setup[index]
        @partial.start[index] = spot.start
        @partial.work_start[index] = work
        @partial.first_end[index] = @model.kind[index] == :wait ? finish : work + @model.each_min[index]
        @partial.work_end[index] = finish - @model.cleanup[index]
        @partial.hands_end[index] = finish
        @partial.early[index] = early(index, work)
        @partial.who[index] = spot.who
        @partial.stretches[index] = spot.stretches
        @partial.asked[index] = @asked
        @partial.why[index] = @holds[index] && spot.start >= @holds[index] && spot.why != :pin ? :goal : spot.why
        @partial.ends[@model.piece_of[index]] = finish
        occupy(index, spot, work, finish) unless @relaxed || spot.who.nil?
      end

      def occupy(index, spot, work, finish)
        put_scuff(index, spot.scuff) if spot.scuff
        unless @reserved.key?(index)
          if spot.stretches
            spot.stretches.each { |from, till| @partial.lanes[spot.who].take(from, till) }
          else
            @partial.lanes[spot.who].take(spot.start, finish)
          end
        end
        here = @partial.floors[@model.room[index]]
        here.lane&.take(spot.start, finish)
        here.dusty.add(work, finish + @model.settles[index]) if @model.dust[index]
        off_the_rack(index, spot.start) if @model.racked?
        leave_wet(index, here, work) if @model.wet[index]
        return unless spot.tool

        @partial.tool[index] = spot.tool
        @partial.tool_lanes[spot.tool].take(spot.start, finish)
      end

      def leave_wet(index, here, work)
        there = @partial.floors[@model.dry_room[index]]
        done = @partial.work_end[index]
        if (safe = @model.dust_safe[index]&.at(done, @partial.early[index]))
          there.wet.add(work, safe)
          here.wet.add(work, done) unless there.equal?(here)
        end
        return unless there.rack

        there.rack.put(work, @model.handle[index]&.at(done, @partial.early[index]) || done, @model.count[index],
                       index)
        @partial.lying[@model.piece_of[index]] << [ index, @model.passes[index].range.to_a ]
      end

      # The next work on a piece takes it from where it lay; each of alike pieces stays there until it is handled
      # itself.
      def off_the_rack(index, minute)
        mine = @model.passes[index].range
        @partial.lying[@model.piece_of[index]].reject! do |lower, pieces|
          next if lower >= index

          taken = pieces.select { |piece| mine.cover?(piece) }
          @partial.floors[@model.dry_room[lower]].rack&.take(lower, minute, taken.size) if taken.any?
          pieces.reject! { |piece| mine.cover?(piece) }
          pieces.empty?
        end
      end
    end
  end
end
