module Rhexon
  module Mixing
    # What is poured for a pass, and what that costs.
    module Outlay
      module_function

      # @param pass [Planning::Pass] one that lays something on
      # @param shop [Planning::Shop]
      # @return [Array<Pour>] losses included
      def pours(pass, shop)
        recipe = ProductMix.recipe(pass.product, shop.products, pass.step)
        PourSheet.new(recipe, { "total_ml" => Laying.of_pass(pass).gross_ml }, resolution_g: shop.scale_g).pours
      end

      # @param products [Hash{String=>Materials::Product}]
      # @return [Float, nil] at the cheapest pack, water out of the tap for nothing; nil where a price is missing
      def cost(pours, products)
        costs = pours.map { |pour| per_kg(pour.component, products)&.*(pour.g / 1000) }
        costs.sum unless costs.any?(&:nil?)
      end

      def per_kg(component, products) = component.price_per_kg || (0 if water?(products[component.product]))

      def water?(product) = product&.class_id == "thinner" && product.waterborne?
      private_class_method :per_kg, :water?
    end
  end
end
