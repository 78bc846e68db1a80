module Rhexon
  module Search
    # Keeps what pins use free for them.
    class PinReservation
      # @param partial [PartialSchedule]
      def initialize(partial)
        @partial = partial
        @model = partial.model
        @times = @model.times
        @places = @model.places
        @crews = @model.crews
        @drying = @model.drying
      end

      # Each pin takes what it uses before anything is placed: hands, a tool, a room that holds one pass, and the air it
      # needs.
      # @param lapsed [Array<Integer>] passes whose pin was given up
      def reserve(lapsed)
        @model.pinned.each do |index, pin|
          next if pin.start.nil? || lapsed.include?(index)

          finish = pin.start + @times.hands[index]
          if pin.start >= @partial.now
            who = @crews.crew[index].find { |person| @partial.lanes[person].free?(pin.start, finish) }
          end
          tool = @places.tools[index].find { |lane| @partial.tool_lanes[lane].free?(pin.start, finish) }
          here = @partial.floors[@places.room[index]]
          if who.nil? || (tool.nil? && @places.tools[index].any?) || (here.lane && !here.lane.free?(pin.start, finish))
            next @partial.lapsed << index
          end

          @partial.lanes[who].take(pin.start, finish)
          @partial.tool_lanes[tool].take(pin.start, finish) if tool
          here.lane&.take(pin.start, finish)
          reserve_air(index, here, pin.start + @times.setup[index], finish)
          @partial.reserved[index] = PartialSchedule::Reservation.new(who, tool)
        end
      end

      private

      def reserve_air(index, here, work, finish)
        here.dusty.add(work, finish + @times.settles[index]) if @places.dust[index]
        done = finish - @times.cleanup[index]
        safe = @drying.dust_safe[index]&.at(done, @partial.earlier_coats(index, work)) or return
        @partial.floors[@places.dry_room[index]].wet.add(work, safe)
        here.wet.add(work, done)
      end
    end
  end
end
