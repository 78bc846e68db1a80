module Rhexon
  module Search
    # Rooms and tools of the passes, by index: rooms and tools as numbers among those of the shop.
    class PassPlaces
      # @!attribute rooms [Array<Planning::Room>]
      # @!attribute room, dry_room, scuff_room [Array<Integer>] by pass
      # @!attribute tools [Array<Array<Integer>>] any one of which a pass takes
      # @!attribute dust, wet [Array<Boolean>] whether it makes dust; whether it leaves something wet
      attr_reader :rooms, :room, :dry_room, :scuff_room, :tools, :dust, :wet

      # @param passes [Array<Planning::Pass>]
      # @param shop [Planning::Shop]
      def initialize(passes, shop)
        @rooms = shop.rooms.values
        @numbers = @rooms.each_with_index.to_h { |room, index| [ room.id, index ] }
        @room = passes.map { |pass| room_number(pass.room) }
        @dry_room = passes.map { |pass| room_number(pass.dry_room) }
        @scuff_room = passes.map { |pass| room_number(Planning::Scuff.room(pass, shop)) }
        @tools = passes.map { |pass| pass.tools.map { |id| shop.tools.index { |tool| tool["id"] == id } } }
        @dust = passes.map(&:dust)
        @wet = passes.map(&:leaves_something?)
        @racked = @rooms.any?(&:rack_places)
      end

      # @return [Integer] place of a room among the rooms
      def room_number(id) = @numbers.fetch(id)

      # @return [Boolean] whether any room has a rack that can be full
      def racked? = @racked
    end
  end
end
