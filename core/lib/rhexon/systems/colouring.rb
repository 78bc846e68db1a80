module Rhexon
  module Systems
    # The stain that brings a wood nearest to a wanted colour, of what is on the shelf, seen under a clear film.
    class Colouring
      # Nearer than that the wood is the colour already.
      NEAR = 2.0
      # As a hand wipes it, on wood that was sanded for it.
      SANDED = { "id" => "s1", "kind" => "sand", "grits" => [ "P180" ] }.freeze
      @kept = Cache.new(40)

      # @return [Hash, nil] step of a schedule; nil where none is wanted, known or any nearer
      def self.step(shop, piece, wish)
        wood = piece.timber(piece.faces.keys.find { |id| piece.shown?(id) } || piece.faces.keys.first)
        colours = colours(shop.products.values)
        return unless wish.lab && wood && colours.any?

        @kept.fetch([ wish.lab, wish.gu, wood, colours.map(&:object_id), shop.surface ]) {
          found(shop, wood, colours, wish) || :none
        }.then { |step| step unless step == :none }
      end

      # @param products [Array<Materials::Product>]
      # @return [Array<Materials::Product>] stains and dyes among them
      def self.colours(products) = products.select { |product| colour?(product) && !product.retired? }

      def self.colour?(product) = Schedule::Kinds.natures(product).include?("colour") && product.colour == "tinted"

      def self.found(shop, wood, colours, wish)
        looks = Colour::Looks.new(wood, [ SANDED ], shop.products, surface: shop.surface)
        result = Colour::Recipe.stain(looks, wish.lab, colours, under_gu: wish.gu || GLOSS).result
        best = result.answers.first
        return if best.nil? || Colour::DeltaE.ciede2000(wish.lab, result.start) < NEAR

        fields = Colour::RecipeStep.fields(best.shares, carrier: nil, products: shop.products)
        product = shop.products.fetch(fields["product"])
        { "kind" => "stain", "method" => Schedule::Kinds.methods("stain", product).first, **fields }
      rescue InvalidInput
        nil
      end

      # Where no sheen is wished the colour is sought as it is seen under a gloss.
      GLOSS = 80.0
      private_class_method :colour?, :found
      private_constant :GLOSS
    end
  end
end
