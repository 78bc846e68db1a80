module Rhexon
  module Planning
    # A room of the shop.
    # @!attribute line        [Drying::ClimateTimeline] its air
    # @!attribute uses [Array<String>] sand, spray, finish, dry; a room that is used for spraying holds one pass at a
    #   time
    # @!attribute rack_places [Integer, nil] places where wet work can lie; nil: as many as are needed
    Room = Struct.new(:id, :line, :uses, :rack_places, keyword_init: true) do
      def single? = uses.include?("spray")
    end
  end
end
