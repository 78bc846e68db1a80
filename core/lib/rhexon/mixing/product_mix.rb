module Rhexon
  module Mixing
    # The mix of a coat: the product, what its sheet adds, and the thinner of the step.
    module ProductMix
      # Fields of a step that change what is poured.
      SHARES = %w[thinning cut_lb_per_gal thinner hardener_parts strength_percent tint].freeze

      module_function

      # @param product [Materials::Product]
      # @param products [Hash{String=>Materials::Product}] of the shelf
      # @param step [Hash] of a schedule: "thinning" or "cut_lb_per_gal", "thinner", "hardener_parts",
      #   "strength_percent" (a stain weaker than its stock is made up with its carrier), "tint" (by weight)
      # @return [Recipe]
      # @raise [InvalidInput] for shares that leave no room for the base
      def recipe(product, products, step = {})
        added = product.mix.map { |component| from_shelf(component, products, step) }
        Recipe.new([ base(product), *added, *carrier(product, products, step), *thinner(product, products, step),
                     *tint(products, step) ], where: "products/#{product.id}/mix")
      end

      # Solids by volume of the mix as it is applied: all that is poured counts, however it is stated.
      # @return [Float] %
      # @raise [InvalidInput]
      def solids_percent(product, products, step = {})
        base = product.solids_volume_percent.value
        return base.to_f if product.mix.empty? && (step.keys & SHARES).empty?

        mix = recipe(product, products, step)
        Thinning.solids_percent(
          mix.unit_ml.zip(mix.components.map { |component| solids_of(component, product, products) })
        )
      end

      # What evaporates of the pours of a mix, in both conventions: parts of {Thinning.voc}. Of a thinner all does,
      # where its sheet gives no figure; of water nothing.
      # @param pours [Array<PourSheet::Pour>]
      # @return [Array<Hash>, nil] nil where a sheet does not say
      def voc_parts(pours, products)
        parts = pours.map { |pour| voc_part(pour, products[pour.component.product]) }
        parts if parts.all?
      end

      # The thinning of a step; a cut that is asked for is brought to what has to be added.
      # @return [Hash, nil] "percent" and "of"
      # @raise [InvalidInput] for a cut of what is no shellac, or a stronger one than is in the jar
      def thinning(product, step)
        pounds = step["cut_lb_per_gal"] or return step["thinning"]
        Rhexon.refuse_unless(product.class_id == "shellac", "#{product.name} is no solution of flake and has no cut",
                             where: "steps/#{step["id"]}/cut_lb_per_gal", accepted: "thinning in percent")
        jar = Cut.of_solids(product.solids_volume_percent.value)
        Rhexon.refuse_unless(
          pounds <= jar.lb_per_gal * (1 + Cut::SAME),
          "#{product.name} is a #{jar.lb_per_gal.round(2)} lb cut, and spirit cannot make it #{format("%g", pounds)} " \
          "lb",
          where: "steps/#{step["id"]}/cut_lb_per_gal", accepted: "at most #{jar.lb_per_gal.round(2)} lb"
        )
        spirit = Cuts.change(jar, solution_ml: 100,
                                  to: jar.with(
                                    [ Cut.read({ "lb_per_gal" => pounds }).g_per_ml, jar.g_per_ml ].min
                                  )).add_spirit_ml
        { "percent" => spirit, "of" => "base" }
      end

      # @return [Boolean] the sheet says what it is mixed with, or it needs nothing
      def known?(product) = product.pot_life_min&.value.nil? || product.mix.any?

      # What is really poured: nil where the step has no hardener.
      # @return [Numeric, nil] parts
      def hardener_parts(product, step)
        step["hardener_parts"] || product.mix.find { |component| component["role"] == "hardener" }&.fetch("parts")
      end

      def base(product)
        density = product.density_g_per_ml
        { "name" => product.name, "parts" => 100, "of" => "base", "basis" => "volume", "role" => "base",
          "product" => product.id, "class" => product.class_id, "price_per_kg" => price_per_kg(product),
          **(density && !density.estimate ? { "density_g_per_ml" => density.value } : {}) }
      end

      def from_shelf(component, products, step)
        product = products[component["product"]]
        parts = if component["role"] == "hardener" && step["hardener_parts"]
          { "parts" => step["hardener_parts"], "range" => nil }
        else
          {}
        end
        {
          "name" => product&.name || component["name"] || component["product"],
          "price_per_kg" => product && price_per_kg(product), **density(product), **component, **parts
        }.then { |part| part.merge("name" => part["name"].to_s) }
      end

      # What makes a stain up to its strength: its carrier, by weight.
      def carrier(product, products, step)
        strength = step["strength_percent"]
        return [] unless strength && strength < 100

        percent = 100 - strength - (step["tint"] || []).sum { |part| part["percent"] }
        return [] unless percent.positive?

        used = products[step["thinner"] || product.thinner_id]
        name = used&.name || product.thinner_id || stand_in(product)
        [ { "name" => step["thinning"] ? "#{name} to its strength" : name, "parts" => percent, "of" => "total",
            "basis" => "mass", "role" => "thinner", "product" => used&.id, "price_per_kg" => used && price_per_kg(used),
            **thinner_density(product, used) } ]
      end

      # Colourants, each a share of the whole mix by weight.
      def tint(products, step)
        (step["tint"] || []).map do |part|
          product = products[part["product"]]
          { "name" => product&.name || part["product"], "parts" => part["percent"], "of" => "total", "basis" => "mass",
            "role" => "colourant", "product" => part["product"], "price_per_kg" => product && price_per_kg(product),
            "class" => product&.class_id, **density(product) }
        end
      end

      def thinner(product, products, step)
        thinning = thinning(product, step) or return []
        return [] unless thinning["percent"].positive?

        used = products[step["thinner"] || product.thinner_id]
        range = product.thinning_of == thinning["of"] ? product.thinning_range_percent : nil
        [ { "name" => used&.name || product.thinner_id || stand_in(product), "parts" => thinning["percent"],
            "of" => thinning["of"], "basis" => "volume", "role" => "thinner", "product" => used&.id,
            "range" => (range if range&.then { |low, high|
              thinning["percent"].between?(low, high)
            }), "price_per_kg" => used &&
              price_per_kg(used), **thinner_density(product, used) } ]
      end

      def thinner_density(product, used)
        return density(used) if used

        water?(product) ? { "density_g_per_ml" => 1.0 } : {}
      end

      # A thinner has none, a colourant is little and mostly carrier; where the shelf does not say, for a hardener the
      # sheet's figure is taken as that of its mix.
      def solids_of(component, product, products)
        return 0.0 if %w[thinner colourant].include?(component.role)

        products[component.product]&.solids_volume_percent&.value || product.solids_volume_percent.value
      end

      def voc_part(pour, product)
        water = product.nil? ? pour.component.name == "water" : product.waterborne?
        if pour.component.role == "thinner" && water
          return { ml: pour.ml, ready_g_per_l: 0, less_water_g_per_l: 0, solids: 0.0 }
        end

        ready = product&.voc_ready_g_per_l
        ready ||= pour.component.density_g_per_ml * 1000 if pour.component.role == "thinner"
        return unless ready

        { ml: pour.ml, ready_g_per_l: ready, less_water_g_per_l: product&.voc_less_water_g_per_l || ready }
      end

      def price_per_kg(product)
        product.packs
          .filter_map { |pack| pack["price"] && pack["price"] / (Packs.grams(pack, product) / 1000.0) }.min
      end

      def density(product)
        stated = product&.density_g_per_ml
        stated && !stated.estimate ? { "density_g_per_ml" => stated.value } : {}
      end

      def water?(product) = product.waterborne?
      def stand_in(product) = water?(product) ? "water" : "thinner"
      private_class_method :base, :from_shelf, :solids_of, :voc_part, :carrier, :tint, :thinner, :thinner_density,
                           :density, :water?, :stand_in
    end
  end
end
