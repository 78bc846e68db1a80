module Rhexon
  module Mixing
    # A cut, a dye or an oil blend of the shop's own, as a recipe: what it is made of may be made here as well.
    module OwnBlend
      module_function

      # @param product [Materials::Product] with made_of
      # @param products [Hash{String=>Materials::Product}] of the shelf
      # @return [Recipe] of blends of blends
      # @raise [InvalidInput] where it is made of itself, or of nothing
      def recipe(product, products, inside: [])
        where = "products/#{product.id}/made_of"
        Rhexon.refuse_unless(product.made_of.any?, "#{product.name} is not made here", where: where,
                                                   accepted: "what it is made of, on its page")
        Rhexon.refuse_unless(!inside.include?(product.id), "#{product.name} is made of itself", where: where)
        Recipe.new(components(product, products, inside + [ product.id ]), where: where)
      end

      # @return [Array<Hash>] of rhexon-mix/1
      # @raise [InvalidInput]
      def components(product, products, inside)
        product.made_of.each_with_index.map do |part, index|
          used = products[part["product"]]
          own = used && used.made_of.any? ? nested(used, products, inside) : {}
          density = used&.density_g_per_ml
          stated = density && !density.estimate ? { "density_g_per_ml" => density.value } : {}
          { "name" => used&.name || part["product"], "class" => used&.class_id, **stated, **part,
            "role" => index.zero? ? "base" : "other", **own }.compact
        end
      end

      def nested(used, products, inside)
        recipe(used, products, inside: inside)
        { "components" => components(used, products, inside + [ used.id ]) }
      end
      private_class_method :components, :nested

      # What it comes to, from what is known of its parts.
      # @return [Hash] :density_g_per_ml, :solids_volume_percent (nil: one part does not say) and :raw, the shares by
      #   weight of all that goes in
      def figures(product, products)
        made = recipe(product, products)
        solids = made.components.map { |part| solids_of(products[part.product], products) }
        { density_g_per_ml: made.density_g_per_ml.round(3), raw: made.flattened,
          solids_volume_percent: (Thinning.solids_percent(made.unit_ml.zip(solids)).round(1) if solids.all?) }
      end

      # The shelf with the solids and the density of what is made here, where its sheet does not say: by its parts.
      # @param products [Hash{String=>Materials::Product}]
      # @return [Hash{String=>Materials::Product}]
      def settled(products)
        return products if products.each_value.none? { |product| product.made_of.any? }

        products.transform_values { |product| product.made_of.any? ? settle(product, products) : product }
      end

      # What cannot be reckoned stays as its class has it: its own page says why.
      def settle(product, products)
        figures = figures(product, products).slice(:density_g_per_ml, :solids_volume_percent).compact
        open = figures.select { |name, _| product.public_send(name).nil? || product.public_send(name).estimate }
        return product if open.empty?

        source = "by what it is made of#{", an estimate" if recipe(product, products).estimate?}"
        product.reckoned(open.transform_keys(&:to_s), source)
      rescue InvalidInput
        product
      end
      private_class_method :settle

      def solids_of(product, products)
        return if product.nil?
        return 0.0 if product.class_id == "thinner"

        stated = product.solids_volume_percent
        own = product.made_of.any? && (stated.nil? || stated.estimate)
        own ? figures(product, products)[:solids_volume_percent] : stated&.value&.to_f
      end
      private_class_method :solids_of
    end
  end
end
