module Rhexon
  module Work
    # What of a piece a pass works on, as its hours see it: how much, of what shape, how it is handled.
    class Extent
      SHAPES = Reference.hands.shape_times.keys.freeze

      # @param piece [Planning::Piece]
      # @param faces [Array<String>]
      # @param hands [Integer] people of the shop who may do it
      # @param products [Hash{String=>Materials::Product}]
      def initialize(piece, faces, hands: 1, products: {})
        @piece = piece
        @faces = faces
        @hands = hands
        @products = products
      end

      # @return [Array<String>] classes of the coats that were found on its faces, where they are known
      def found_classes
        @faces.filter_map { |id| @products[@piece.faces.fetch(id).dig("found", "product")]&.class_id }
      end

      def floor? = @piece.use == "floor"
      def helped? = @hands > 1

      # @return [String, nil] what a floor that was sketched is laid on with
      def tool = @piece.sketch && @piece.sketch["tool"]

      # @return [Boolean] whether that is what the method takes there: an applicator rolls
      def tool_for?(method) = (tool == "applicator" ? "roller" : tool) == method

      # @param rate_m2_per_h [Numeric] on flat work
      # @param times [Integer] grits
      # @return [Float] minutes for one piece, handling apart
      def at(rate_m2_per_h, times = 1)
        shaped = @faces.sum { |id| @piece.area_m2([ id ]) * times(id) }
        [ shaped / rate_m2_per_h * 60.0, table.least_min ].max * times
      end

      # @return [Numeric] minutes to take up, turn and put down one piece
      def handling_min
        return 0 if floor? || @piece.schedule["support"] == "fixed"

        whole = @piece.area_m2(@piece.faces.keys)
        table.handling_min.find { |below, _| whole < below }.last
      end

      # @return [Numeric] m along the walls of a floor
      def walls_m
        return table.floor_edges["wall_m_per_root_m2"] * Math.sqrt(@piece.area_m2(@faces)) unless @piece.sketch

        @piece.sketch["parts"].sum { |_, _, width, height| 2 * (width + height) }
      end

      # @return [Numeric] corners of a floor
      def corners = table.floor_edges["corners"] * (@piece.sketch ? @piece.sketch["parts"].size : 1)

      private

      def times(id) = table.shape_times.fetch(@piece.shape_of(id))
      def table = Reference.hands
    end
  end
end
