module Rhexon
  module Search
    # What goes on in one room while a plan is built: dust and wet films keep away from each other, a spray room holds
    # one pass at a time, a rack has so many places.
    class RoomOccupancy
      attr_reader :wet, :dusty, :lane, :rack

      # @param room [Planning::Room]
      # @param always [Always]
      # @param look_back [Integer, nil] of {Lane}
      def initialize(room, always, look_back = nil)
        @wet = Spans.new
        @dusty = Spans.new
        @lane = Planning::Lane.new(always, look_back) if room.single?
        @rack = Rack.new(room.rack_places) if room.rack_places
      end
    end
  end
end
