module Rhexon
  module Mixing
    # How long a catalysed mix may be used. Pot life halves for every +10 °C, what the Arrhenius figure of the
    # reactive mechanism (50 kJ/mol, core/data/drying.yml) comes to near 20 °C; 80 % of it is counted on.
    module PotLife
      module_function

      # @param product [Materials::Product]
      # @param t_c [Numeric] of the room
      # @param batch_g [Numeric, nil] in one pot, where mass shortens it
      # @param hardener_parts [Numeric, nil] inside the maker's range, where the sheet gives both ends
      # @return [Float, nil] minutes; nil: the product has none
      def minutes(product, t_c:, batch_g: nil, hardener_parts: nil)
        sheet = at_share(product, hardener_parts) or return
        sheet / speed(product, t_c) * mass_factor(product, batch_g)
      end

      # How much faster than at the sheet's temperature it ages; in the cold not slower than a usual cap.
      def speed(product, t_c)
        [
          2**((t_c - product.pot_life_t_c) / table.pot_life_halves_per_c.to_f),
          1.0 / table.pot_life_longest
        ].max
      end

      # @param line [Drying::ClimateTimeline] of the room
      # @return [Drying::Progress] in minutes at the sheet's temperature
      def progress(product, line)
        line.progress([ :pot_life, product.pot_life_t_c ]) { |climate| speed(product, climate.t_c) }
      end

      # Until when a mix may be used, through the air of its room.
      # @param line [Drying::ClimateTimeline]
      # @param from [Integer] minute the hardener goes in
      # @param hardener_parts [Numeric, nil] outside the sheet's ends that of the nearer end
      # @return [Integer, nil] minute; nil: the product has no pot life
      def usable_until(product, line, from, batch_g: nil, hardener_parts: nil)
        ends = product.pot_life_by_hardener
        parts = ends && hardener_parts ? hardener_parts.clamp(ends.first.first, ends.last.first) : hardener_parts
        usable = usable_min(product, t_c: product.pot_life_t_c, batch_g: batch_g, hardener_parts: parts)
        usable && progress(product, line).reached(from, usable)&.floor
      end

      def usable_min(product, **conditions)
        minutes(product, **conditions)&.then { |full| full * table.usable_share_of_pot_life }
      end

      # Pot life at 20 °C for a hardener share: linear between the ends of the sheet; fixed where the sheet gives one
      # figure.
      def at_share(product, hardener_parts)
        ends = product.pot_life_by_hardener
        return product.pot_life_min&.value unless ends && hardener_parts

        (low, longest), (high, shortest) = ends
        Rhexon.refuse_unless(hardener_parts.between?(low, high),
                             "#{product.name} does not take #{format("%g", hardener_parts)} parts of hardener",
                             where: "hardener_parts", accepted: "#{format("%g", low)} to #{format("%g", high)}")
        longest + (shortest - longest) * (hardener_parts - low) / (high - low).to_f
      end

      # Halved at 500 g against the 100 g of the sheet: (m / 100)^(-ln 2 / ln 5); less than the sheet's mass does not
      # lengthen it.
      def mass_factor(product, batch_g)
        figures = table.mass_shortens
        return 1.0 unless batch_g && product.class_id == figures.class && batch_g > figures.sheet_g

        (batch_g / figures.sheet_g.to_f)**
          (-Math.log(2) / Math.log(figures.halved_at_g / figures.sheet_g.to_f))
      end
      private_class_method :mass_factor

      def table = Reference.mixing
      private_class_method :table
    end
  end
end
