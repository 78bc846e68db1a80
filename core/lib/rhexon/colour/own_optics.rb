module Rhexon
  module Colour
    # Colour figures of a shop's own stain, oil or tinted film, from what it made of a wood that is known: one reading
    # before it and one after. The look that is reckoned from them is the reading again.
    module OwnOptics
      module_function

      # @param product [Materials::Product]
      # @return [String, nil] stain or film; nil where it colours nothing by itself
      def way(product)
        return "film" if product.film? && product.methods_known.any? && product.solids_volume_percent&.value

        "stain" if Schedule::Kinds.natures(product).include?("colour") || Schedule::Kinds.concentrate?(product)
      end

      # @param product [Materials::Product]
      # @param wood [Wood] it was tried on
      # @param read [Array<Numeric>] L*a*b* afterwards, D65
      # @param surface [Surface]
      # @param percent [Numeric] of a stain: share of its stock strength
      # @param coats [Integer] of a film
      # @param method [String, nil] of a film; nil: its usual one
      # @return [Hash] "optics" of rhexon-shop/1
      # @raise [InvalidInput] for a reading that no surface has, or one paler than the wood can become by it
      def from(product, wood:, read:, surface: Surface.usual, percent: 100, coats: 1, method: nil)
        found = Reflectance.from_lab(Lab.check(read), Light.find("D65"), shape: wood.reflectance)
        k = product.film? ? film(product, wood, found, surface, coats, method) : stain(wood, found, surface, percent)
        Rhexon.refuse_unless(
          k.sum.positive?, "#{product.name} leaves the wood no darker by these readings, so they give it no colour",
          where: "read", accepted: "a reading of the wood before it and one after it"
        )
        { "kind" => kind(product), "k" => k.map { |value| value.round(6) } }
      end

      def kind(product) = product.film? ? "film" : { "pigment_oil_stain" => "pigment" }.fetch(product.class_id, "dye")

      # What it adds to the absorption of the bare wood, at stock strength and a mean uptake.
      def stain(wood, found, surface, percent)
        lowest = wood.reflectance.min
        before, after = [ wood.reflectance, found ].map { |values| surface.into(values, lowest: lowest) }
        before.zip(after).map do |was, is|
          [ Layer.q(is) - Layer.q(was), 0.0 ].max * 100.0 / (percent * wood.uptake)
        end
      end

      # What a dry µm of it takes: light goes through it twice.
      def film(product, wood, found, surface, coats, method)
        method ||= product.methods_known.first
        um = coats * Film::Coat.dry_um(product.wet_um(method).value, product.solids_volume_percent.value)
        before = surface.into(wood.reflectance)
        after = surface.under_film(found, gu: product.sheen_gu&.value || Reference.colour.gloss_gu)
        before.zip(after).map { |was, is| [ Math.log(was.clamp(1e-4, 1) / is.clamp(1e-4, 1)), 0.0 ].max / (2 * um) }
      end
      private_class_method :kind, :stain, :film
    end
  end
end
