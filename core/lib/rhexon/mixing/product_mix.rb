module Rhexon
  module Mixing
    # The mix of a coat: the product, what its sheet adds, and the thinner of the step.
    module ProductMix
      module_function

      # @param product [Materials::Product]
      # @param products [Hash{String=>Materials::Product}] of the shelf
      # @param step [Hash] of a schedule: "thinning", "thinner", "hardener_parts"
      # @return [Recipe]
      # @raise [Refusal] for shares that leave no room for the base
      def recipe(product, products, step = {})
        added = product.mix.map { |component| from_shelf(component, products, step) }
        Recipe.new([ base(product), *added, *thinner(product, products, step) ], where: "products/#{product.id}/mix")
      end

      # @return [Boolean] the sheet says what it is mixed with, or it needs nothing
      def known?(product) = product.pot_life_min&.value.nil? || product.mix.any?

      # What is really poured: nil where the step has no hardener.
      # @return [Numeric, nil] parts
      def hardener_parts(product, step) = step["hardener_parts"] || product.mix.find { |component| component["role"] == "hardener" }&.fetch("parts")

      def base(product)
        density = product.density_g_per_ml
        { "name" => product.name, "parts" => 100, "of" => "base", "basis" => "volume", "role" => "base", "product" => product.id, "class" => product.class_id, "price_per_kg" => price_per_kg(product),
          **(density && !density.estimate ? { "density_g_per_ml" => density.value } : {}) }
      end

      def from_shelf(component, products, step)
        product = products[component["product"]]
        parts = component["role"] == "hardener" && step["hardener_parts"] ? { "parts" => step["hardener_parts"], "range" => nil } : {}
        { "name" => product&.name || component["name"] || component["product"], "price_per_kg" => product && price_per_kg(product), **density(product), **component, **parts }.then { |found| found.merge("name" => found["name"].to_s) }
      end

      def thinner(product, products, step)
        thinning = step["thinning"] or return []
        return [] unless thinning["percent"].positive?

        used = products[step["thinner"] || product.thinner_id]
        range = product.thinning_of == thinning["of"] ? product.thinning_range_percent : nil
        [ { "name" => used&.name || product.thinner_id || stand_in(product), "parts" => thinning["percent"], "of" => thinning["of"], "basis" => "volume", "role" => "thinner", "product" => used&.id,
            "range" => (range if range&.then { |low, high| thinning["percent"].between?(low, high) }), "price_per_kg" => used && price_per_kg(used), **(used ? density(used) : water?(product) ? { "density_g_per_ml" => 1.0 } : {}) } ]
      end

      def price_per_kg(product)
        product.packs.filter_map { |pack| pack["price"] && pack["price"] / (Stock::Packs.grams(pack, product) / 1000.0) }.min
      end

      def density(product)
        found = product&.density_g_per_ml
        found && !found.estimate ? { "density_g_per_ml" => found.value } : {}
      end

      def water?(product) = product.waterborne?
      def stand_in(product) = water?(product) ? "water" : "thinner"
      private_class_method :base, :from_shelf, :thinner, :density, :water?, :stand_in
    end
  end
end
