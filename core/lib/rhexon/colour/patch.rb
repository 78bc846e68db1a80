module Rhexon
  module Colour
    # The colour of a patch in a photo, by a grey card in the same picture: channels are scaled so that the card is as
    # grey and as light as it is known to be.
    # Of low trust: a camera's eye is not the observer's, and light is never even.
    module Patch
      module_function

      # @param patch [Array<Float>] red, green, blue in linear light (sRGB primaries), 0 to 1
      # @param grey  [Array<Float>] of the card
      # @param white [Array<Float>, nil] of a white card: then a line through both, which takes flare away
      # @return [Array<Float>] L*a*b*, D65, one decimal
      # @raise [InvalidInput] when a part is burnt out or drowned
      def lab(patch, grey:, white: nil)
        { "patch" => patch, "grey" => grey, "white" => white }.compact.each { |name, rgb| check(name, rgb) }
        cards = Reference.colour.cards
        seen = patch.each_with_index.map do |value, channel|
          white ? line(value, grey[channel], white[channel], cards) : value * cards.grey / grey[channel]
        end
        Lab.of_xyz(Lab.srgb_xyz(seen.map { |value| [ value, 0.0 ].max }), Lab::WHITE_D65).map { |value| value.round(1) }
      end

      def check(name, rgb)
        table = Reference.colour.cards
        Rhexon.refuse_unless(
          rgb.max < table.burnt, "The #{name} is burnt out in the photo", where: name,
          accepted: "a darker exposure"
        )
        Rhexon.refuse_unless(rgb.min > table.drowned || name == "patch",
                             "The #{name} is too dark in the photo", where: name, accepted: "more light")
      end
      private_class_method :check

      def line(value, grey, white, cards)
        Rhexon.refuse_unless(
          white > grey * 1.2, "The white card is hardly lighter than the grey one", where: "white",
          accepted: "the white card in the same light"
        )
        cards.grey + (value - grey) * (cards.white - cards.grey) / (white - grey)
      end
      private_class_method :line
    end
  end
end
