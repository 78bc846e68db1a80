module Rhexon
  module Templates
    # Which product of a shop stands for each that a template names: the same, else one of its kind and colour with the
    # nearest sheen; a colour is only ever itself.
    class ShelfMatch
      # @!attribute there [Hash] product of the template
      # @!attribute here  [Materials::Product, nil] nil: nothing on the shelf is like it
      Match = Struct.new(:there, :here, keyword_init: true) do
        def same? = !here.nil? && here.name == there["name"]
      end

      # @param products [Enumerable<Materials::Product>] of the shop
      # @param chosen [Hash{String=>String}] id in the template => id in the shop, as a hand chose
      # @param sheens [Hash{String=>Numeric}] id in the template => GU that is wanted of it
      def initialize(products, chosen, sheens)
        @products = products.reject(&:retired?)
        @chosen = chosen
        @sheens = sheens
      end

      # @param there [Hash] product of the template
      # @return [Match]
      def match(there) = Match.new(there: there, here: by_hand(there) || same(there) || alike(there))

      # @param there [Hash]
      # @return [Array<Materials::Product>] of its kind and colour, the nearest sheen first
      def offers(there)
        return colours(there) if colour?(there)

        kind = @products.select { |one| one.class_id == there["class"] && one.colour == there["colour"] }
        kind.sort_by { |one| [ one.role == there["role"] ? 0 : 1, away(one, there), one.id ] }
      end

      private

      def by_hand(there)
        id = @chosen[there["id"]] or return
        offers(there).find { |one| one.id == id } ||
          raise(InvalidInput.new("#{id} does not stand for #{there["name"]}", where: "products/#{there["id"]}",
                                 accepted: offers(there).map(&:id).join(", ")))
      end

      def same(there)
        one = @products.find { |product| product.class_id == there["class"] && product.name == there["name"] }
        one unless @sheens[there["id"]] && away(one, there) > SHEEN_PLAY
      end

      def alike(there) = (offers(there).first unless colour?(there))

      def away(product, there)
        wanted, has = @sheens[there["id"]] || there["sheen_gu"], product&.sheen_gu&.value
        wanted && has ? (wanted - has).abs : 0
      end

      # A can that is as near as that, GU, has the sheen: an estimate.
      SHEEN_PLAY = 3
      private_constant :SHEEN_PLAY

      COLOURS = %w[pigment_oil_stain water_dye colourant].freeze
      private_constant :COLOURS

      def colour?(there) = there["colour"] == "tinted" || COLOURS.include?(there["class"])

      def colours(there)
        return @products.select { |one| one.class_id == "colourant" } if there["class"] == "colourant"

        @products.select { |one| Schedule::Kinds.natures(one).include?("colour") }
      end
    end
  end
end
