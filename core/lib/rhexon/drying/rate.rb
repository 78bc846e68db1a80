module Rhexon
  module Drying
    # How much longer than on the sheet a milestone takes in a room's air: the climate factors of one rate group.
    #
    # A rate group is a mechanism with its carrier and either "early" (dust_safe, touch, recoat_opens, sand: the
    # carrier leaves) or "hard" (handle, stack, rub_out, full_cure: the film cures).
    module Rate
      GAS_J_PER_MOL_K = 8.314462
      KELVIN = 273.15
      EARLY = %w[dust_safe touch recoat_opens sand].freeze
      HARD = %w[handle stack rub_out full_cure].freeze
      # In the order in which the ledger turns them on.
      CAUSES = %i[temperature humidity air].freeze
      Factors = Struct.new(:temperature, :humidity, :air, keyword_init: true) do
        # Reference minutes that pass per real minute; 0 means the film waits.
        def rate = rate_up_to(:air)

        # With the causes up to this one.
        # @param cause [Symbol] of CAUSES
        def rate_up_to(cause)
          whole = CAUSES.first(CAUSES.index(cause) + 1).reduce(1.0) { |product, name| product * self[name] }
          whole.infinite? ? 0.0 : 1.0 / whole
        end
      end

      module_function

      # @param milestone [String] one of EARLY or HARD, or the opening of a hard window (early)
      # @return [String] "early" or "hard"
      def phase(milestone) = HARD.include?(milestone) ? "hard" : "early"

      # @param product [Materials::Product]
      # @param phase [String] "early" or "hard"
      # @param climate [Climate]
      # @return [Factors] time factors; the product of the three is what a steady room does to the sheet's time.
      #   Their product is never below 0.5 (skinning), and the carrier factor of water never above 6.
      def factors(product, phase, climate)
        warm = raw(product, phase, climate.t_c, product.sheet_rh)
        damp = raw(product, phase, climate.t_c, climate.rh)
        air = phase == "early" ? constants.air.fetch(climate.air) : 1.0
        least = constants.least_climate_air
        one, two, three = [ warm, damp, damp * air ].map { |factor| [ factor, least ].max }
        return Factors.new(temperature: Float::INFINITY, humidity: 1.0, air: 1.0) if one.infinite?

        Factors.new(temperature: one, humidity: two / one, air: three / two)
      end

      # @param cause [Symbol] only the causes up to this one count
      # @return [Progress] of a phase in a room
      def progress(product, phase, line, cause = :air)
        line.progress([
                        product.rate_group(phase), product.moisture_cure?, product.drying_mechanism, cause
                      ]) { |climate| factors(product, phase, climate).rate_up_to(cause) }
      end

      # @param name [String] recoat_closes, flash_max, soft_latest; wipe_off_latest goes with the carrier
      # @return [Progress] towards closing
      def closing(product, line, name = "recoat_closes")
        if name == "wipe_off_latest"
          return line.progress([ product.rate_group("early"), product.moisture_cure?, :wipe_off ]) { |climate|
            [ factors(product, "early", climate).rate, 1.0 ].max
          }
        end

        line.progress([ product.mechanism, product.sheet_t_c, :close ]) do |climate|
          1.0 / closing_factor(product, climate)
        end
      end

      # Time factor of a closing: only warmth counts, and only to shorten.
      # @return [Float] at most 1
      def closing_factor(product, climate)
        energy = constants.dig("activation_kj_per_mol", product.mechanism, "close")
        energy ? [ arrhenius(energy, climate.t_c, product.sheet_t_c), 1.0 ].min : 1.0
      end

      # exp(Ea/R (1/T - 1/T0)), the time factor of a thermally activated process (Arrhenius).
      def arrhenius(kj_per_mol, t_c, reference_c)
        Math.exp(kj_per_mol * 1000 / GAS_J_PER_MOL_K * (1 / (t_c + KELVIN) - 1 / (reference_c + KELVIN)))
      end

      def raw(product, phase, t_c, rh)
        energy = constants.dig("activation_kj_per_mol", product.drying_mechanism, phase)
        case product.drying_mechanism
        when "oxidative" then oxidative(energy, t_c, rh, product)
        when "coalescing", "reactive"
          return evaporation(t_c, rh, product) if phase == "early" && product.waterborne?

          arrhenius(energy, t_c, product.sheet_t_c) * moisture_cure(product, phase, rh)
        else arrhenius(energy, t_c, product.sheet_t_c)
        end
      end
      private_class_method :raw

      # Water leaves in proportion to the drying power of the air, es(T)(1 - RH).
      def evaporation(t_c, rh, product)
        cap = constants.carrier_cap.to_f
        return cap if rh >= 100

        sheet = Air.saturation_kpa(product.sheet_t_c) * (100 - product.sheet_rh)
        [ sheet / (Air.saturation_kpa(t_c) * (100 - rh)), cap ].min
      end
      private_class_method :evaporation

      # Every factor is 1 at the sheet's own climate, its humidity included.
      def oxidative(energy, t_c, rh, product)
        return Float::INFINITY if t_c < constants.oxidative_stops_below_c

        arrhenius(energy, t_c, product.sheet_t_c) * damp(rh) / damp(product.sheet_rh)
      end
      private_class_method :oxidative

      def damp(rh) = 1 + constants.oxidative_damp_per_percent * [ rh - 50, 0 ].max
      private_class_method :damp

      def moisture_cure(product, phase, rh)
        product.moisture_cure? && phase == "hard" ? dryness(rh) / dryness(product.sheet_rh) : 1.0
      end

      private_class_method :moisture_cure

      def dryness(rh) = (50.0 / rh).clamp(0.6, 1.7)
      private_class_method :dryness

      def constants = Reference.drying
      private_class_method :constants
    end
  end
end
