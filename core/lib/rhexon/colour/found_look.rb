module Rhexon
  module Colour
    # How a face looks before its schedule begins: colour that is left in pores, somebody's coats, an old finish.
    class FoundLook
      # @param found [Hash] of a face, rhexon-shop/1
      # @return [Boolean] what was read of it is the wood itself
      def self.wood?(found) = [ nil, "bare", "stripped" ].include?(found["is"])

      # @param found [Hash]
      # @param products [Hash{String=>Materials::Product}]
      # @param wood [Wood]
      # @param surface [Surface]
      def initialize(found, products, wood:, surface:)
        @found = found
        @products = products
        @wood = wood
        @surface = surface
      end

      # What is left of old colour in the pores, where no reading shows it: absorption at {Spectrum::NM} (an estimate).
      # @return [Array<Float>, nil]
      def left
        return unless @found["is"] == "stripped" && @found["colour_left"] && @found["lab"].nil?

        table = Reference.colour.left
        share = @wood.open? ? table.open : table.closed
        Optics.bands(table.bands).map { |absorbed| share * absorbed }
      end

      # Films that lie on it, the lowest first: {um, k, s}.
      # @return [Array<Hash>]
      def films
        @films ||= Work::Start.layers(@found, @products).map do |layer|
          optics = cover ? nil : Optics.for(film_product).aged(years)
          clear = Array.new(Spectrum::NM.size, 0.0)
          { um: layer.um, k: optics ? optics.k : clear, s: optics ? optics.s : clear }
        end
      end

      # @return [Numeric, nil] GU of what lies on it
      def gloss = films.any? ? film_product.sheen_gu&.value || Reference.colour.gloss_gu : nil

      # What was read of a coated face stands for all of it, as long as any of its film is left.
      # @return [Array<Float>, nil] reflectance inside the film
      def cover
        return if @found["lab"].nil? || self.class.wood?(@found)

        read = Reflectance.from_lab(@found["lab"], Light.find("D65"), shape: @wood.reflectance)
        @surface.under_film(read, gu: film_product.sheen_gu&.value || Reference.colour.gloss_gu)
      rescue InvalidInput
        nil
      end

      private

      # An unknown finish is taken for an old varnish where nothing tells more.
      def film_product
        @film_product ||= @products[@found["product"]] || Work::Start.stand_in(@found["family"] || "cross_linked")
      end

      def years = @found["is"] == "unknown" ? Reference.colour.left.years : 0
    end
  end
end
