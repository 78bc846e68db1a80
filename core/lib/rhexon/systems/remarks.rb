module Rhexon
  module Systems
    # What of a wish cannot be had on this wood or from this shelf, and what nobody knows: told, and not guessed.
    class Remarks
      # A film darkens a wood by so much or more, L*.
      PLAY_L = 2.0

      # @param plan [Planning::Plan] with the piece and what is to buy
      # @param wish [Wish]
      def initialize(plan, piece_id, wish)
        @piece = plan.piece(piece_id)
        @products = plan.shop.products
        @wish = wish
      end

      # @return [Array<String>] sentences
      def to_a
        return [ *mouths ] if @wish.opaque

        [ mouths, unknown_wood, lighter, *no_colour ].compact
      end

      private

      def wood = @wood ||= @piece.timber(@piece.faces.keys.find { |id| @piece.shown?(id) } || @piece.faces.keys.first)

      def mouths
        return unless @wish.mouths

        "Only a product's own sheet says whether it is safe for food or toys (food contact, EN 71-3), and only once " \
        "it is fully cured."
      end

      def unknown_wood
        return if wood

        "Nothing is known of the colour of #{@piece.named_wood || "this wood"}, so looks are not reckoned: read a " \
        "bare board of it, or say which kind is nearest."
      end

      def lighter
        bare = wood && @wish.lab && Colour::Look.new(wood.reflectance, Colour::Light.find("D65")).lab
        return unless bare && @wish.lab[0] > bare[0] - PLAY_L

        "The wanted colour is lighter than #{@piece.named_wood || "the wood"} under any film: only bleach or paint " \
        "makes it so. These come nearest."
      end

      def no_colour
        return if @wish.lab.nil? || wood.nil? || lighter || Colouring.colours(@products.values).any?

        "No stain or dye is on the shelf, so the colour of the wood is left as it is."
      end
    end
  end
end
