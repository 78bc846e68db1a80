module Rhexon
  module Planning
    # What was measured of a coat while it was laid on: its wet film by the comb, or else by what left the pot.
    module LaidFilm
      # Measured films further off from what was to be laid are slips of the pen, or another pot. An estimate.
      BELIEVED = (0.2..5.0)

      module_function

      # @param fact [PassLog, nil]
      # @param pass [Pass]
      # @param products [Hash{String=>Materials::Product}]
      # @return [Float, nil] µm wet; nil where nothing was measured, or nothing that can be
      def um(fact, pass, products)
        return unless fact && pass.film? && pass.wet_um.to_f.positive?

        measured = comb_um(fact) || pot_um(fact, pass, products)
        measured if measured && BELIEVED.cover?(measured / pass.wet_um)
      end

      # @return [Float, nil] µm, the mean of the readings
      def comb_um(fact) = fact.comb_um && fact.comb_um.sum / fact.comb_um.size.to_f

      # What of the pot was landed, by comb and pot of one coat.
      # @return [Float, nil] transfer efficiency, 0 to 1
      def landed(fact, pass, products)
        return unless fact&.pot_g && fact.comb_um && weighed?(pass)

        Mixing::Laying.own_efficiency(used_g: used_g(fact), density_g_per_ml: density(pass, products),
                                      area_m2: pass.area_m2 * pass.count, wet_um: comb_um(fact))
      end

      def pot_um(fact, pass, products)
        return unless fact.pot_g && weighed?(pass)

        Mixing::Laying.film_um(used_g: used_g(fact), density_g_per_ml: density(pass, products),
                               area_m2: pass.area_m2 * pass.count,
                               transfer_efficiency: Mixing::Laying.of_pass(pass).transfer_efficiency)
      end

      # What is wiped off again, or rubbed in by drops, leaves less on than left the pot.
      def weighed?(pass)
        pass.film? && pass.wet_um && !%w[wipe pad].include?(pass.method) && !Mixing::Laying.rubbed?(pass)
      end

      def used_g(fact) = fact.pot_g.first - fact.pot_g.last

      def density(pass, products)
        Mixing::ProductMix.recipe(pass.product, products, pass.step).density_g_per_ml
      end

      private_class_method :pot_um, :weighed?, :used_g, :density
    end
  end
end
