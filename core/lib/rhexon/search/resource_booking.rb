module Rhexon
  module Search
    # Writes a pass into a build and takes what it uses: hands, room, rack, tool.
    class ResourceBooking < BuildPart
      # From here on others can wait for it, and its hands, room and tool are taken.
      # @param index [Integer] of the pass
      # @param spot [CandidateSlot]
      def settle(index, spot)
        finish = pencil_in(index, spot)
        stay(index, spot) unless @relaxed || @model.passes[index].sitting.nil?
        @partial.who[index] = spot.who
        @partial.stretches[index] = spot.stretches
        @partial.asked[index] = spot.asked
        @partial.why[index] = @holds.reason(index, spot)
        @partial.ends[@model.piece_of[index]] = finish
        occupy(index, spot, @partial.work_start[index], finish) unless @relaxed || spot.who.nil?
      end

      # What the next one of a hard window needs to know; nothing is taken yet.
      # @return [Integer] minute its hands end
      def pencil_in(index, spot)
        finish = spot.stretches ? spot.stretches[-1][1] : spot.start + @times.hands[index]
        work = spot.start + @times.setup[index]
        @partial.start[index] = spot.start
        @partial.work_start[index] = work
        @partial.first_end[index] = @model.kind[index] == :wait ? finish : work + @times.each_min[index]
        @partial.work_end[index] = finish - @times.cleanup[index]
        @partial.hands_end[index] = finish
        @partial.early[index] = @partial.earlier_coats(index, work)
        finish
      end

      # @param scuff [Array] start, end, person and faces of the scuff before a coat
      def put_scuff(index, scuff)
        start, finish, who = scuff
        @partial.scuff[index] = scuff
        @partial.lanes[who].take(start, finish)
        here = @partial.rooms[@places.scuff_room[index]]
        here.lane&.take(start, finish)
        here.dusty.add(start, finish + @times.settles[index])
        off_the_rack(index, start) if @places.racked?
      end

      private

      # Between the coats of a sitting nobody goes to other work.
      def stay(index, spot)
        from = @partial.hands_end[index - 1]
        return unless @partial.who[index - 1] == spot.who && from && spot.start.between?(from + 1, from + MOST_REST)

        @partial.lanes[spot.who].take(from, spot.start)
      end
      MOST_REST = Reference.hands.sitting["most_recoat_min"]
      private_constant :MOST_REST

      def occupy(index, spot, work, finish)
        put_scuff(index, spot.scuff) if spot.scuff
        take_hands(spot, finish) unless @reserved.key?(index)
        here = @partial.rooms[@places.room[index]]
        here.lane&.take(spot.start, finish)
        here.dusty.add(work, finish + @times.settles[index]) if @places.dust[index]
        off_the_rack(index, spot.start) if @places.racked?
        leave_wet(index, here, work) if @places.wet[index]
        return unless spot.tool

        @partial.tool[index] = spot.tool
        @partial.tool_lanes[spot.tool].take(spot.start, finish)
      end

      def take_hands(spot, finish)
        lane = @partial.lanes[spot.who]
        (spot.stretches || [ [ spot.start, finish ] ]).each { |from, till| lane.take(from, till) }
      end

      def leave_wet(index, here, work)
        there = @partial.rooms[@places.dry_room[index]]
        done = @partial.work_end[index]
        if (safe = @drying.dust_safe[index]&.at(done, @partial.early[index]))
          there.wet.add(work, safe)
          here.wet.add(work, done) unless there.equal?(here)
        end
        return unless there.rack

        there.rack.put(work, @drying.handle[index]&.at(done, @partial.early[index]) || done, @times.count[index],
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
          @partial.rooms[@places.dry_room[lower]].rack&.take(lower, minute, taken.size) if taken.any?
          pieces.reject! { |piece| mine.cover?(piece) }
          pieces.empty?
        end
      end
    end
  end
end
