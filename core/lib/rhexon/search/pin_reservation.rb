module Rhexon
  module Search
    # Keeps what pins use free for them.
    class PinReservation < BuildPart
      # Each pin takes what it uses before anything is placed: hands, a tool, a room that holds one pass, and the air it
      # needs.
      # @param lapsed [Array<Integer>] passes whose pin was given up
      def reserve(lapsed)
        @model.pinned.each do |index, pin|
          next if pin.start.nil? || lapsed.include?(index)

          finish = pin.start + @times.hands[index]
          who, tool = free_for(index, pin.start, finish)
          if who && room_free?(index, pin.start, finish) && (tool || @places.tools[index].empty?) &&
              air_clear?(index, pin.start, finish)
            take(index, pin.start, finish, PartialSchedule::Reservation.new(who, tool))
          else
            @partial.lapsed << index
          end
        end
      end

      private

      # @return [Array(Integer, Integer)] person and tool, nil where none is free
      def free_for(index, start, finish)
        who = @crews.crew[index].find { |one| @partial.lanes[one].free?(start, finish) } if start >= @partial.now
        [ who, @places.tools[index].find { |lane| @partial.tool_lanes[lane].free?(start, finish) } ]
      end

      def room_free?(index, start, finish) = @partial.rooms[@places.room[index]].lane&.free?(start, finish) != false

      # No dust beside a film that still catches it.
      def air_clear?(index, start, finish)
        work = start + @times.setup[index]
        if @places.dust[index]
          return @partial.rooms[@places.room[index]].wet.clash(work, finish + @times.settles[index]).nil?
        end

        safe = safe(index, work, finish) or return true
        @partial.rooms[@places.dry_room[index]].dusty.clash(work, safe).nil?
      end

      # When its own film is dust-safe.
      def safe(index, work, finish)
        @drying.dust_safe[index]&.at(finish - @times.cleanup[index], @partial.earlier_coats(index, work))
      end

      def take(index, start, finish, reservation)
        here = @partial.rooms[@places.room[index]]
        @partial.lanes[reservation.who].take(start, finish)
        @partial.tool_lanes[reservation.tool].take(start, finish) if reservation.tool
        here.lane&.take(start, finish)
        reserve_air(index, here, start + @times.setup[index], finish)
        @partial.reserved[index] = reservation
      end

      def reserve_air(index, here, work, finish)
        here.dusty.add(work, finish + @times.settles[index]) if @places.dust[index]
        safe = safe(index, work, finish) or return
        @partial.rooms[@places.dry_room[index]].wet.add(work, safe)
        here.wet.add(work, finish - @times.cleanup[index])
      end
    end
  end
end
