module Rhexon
  module Mixing
    # What thinner makes of a product. "30 %" of the base and 30 % of the total are two amounts.
    module Thinning
      module_function

      # V_thinner = p V_base, or p of the total.
      # @return [Float] ml
      def thinner_ml(base_ml, percent, of:)
        share = percent / 100.0
        Rhexon.refuse_unless(
          share.finite? && share >= 0 && (of == "base" || share < 1),
          "#{format("%g", percent)} % of the #{of} cannot be thinner", where: "percent",
          accepted: "0 % or more, and less than 100 % of the total"
        )
        of == "total" ? base_ml * share / (1 - share) : base_ml * share
      end

      # The same thinning in the other convention.
      # @return [Float] percent
      def other_percent(percent, of:)
        of == "total" ? 100.0 * percent / (100 - percent) : 100.0 * percent / (100 + percent)
      end

      # Solids by volume of a mix: sum(V_i vs_i) / sum(V_i).
      # @param parts [Array<Array(Numeric, Numeric)>] ml and solids %
      # @return [Float] %
      def solids_percent(parts) = parts.sum { |ml, solids| ml * solids.to_f } / parts.sum(&:first)

      # VOC of a mix in both conventions, g/L: ready for use (of everything), and less water and exempt solvents.
      # The water of a part follows from its own two figures: 1 - ready / less water.
      # @param parts [Array<Hash>] :ml, :ready_g_per_l, :less_water_g_per_l
      # @return [Hash{Symbol=>Float}] :ready_g_per_l, :less_water_g_per_l
      def voc(parts)
        total = parts.sum { |part| part[:ml] }
        mass = parts.sum { |part| part[:ml] * part[:ready_g_per_l].to_f }
        without_water = parts.sum { |part| part[:ml] * not_water(part) }
        { ready_g_per_l: mass / total, less_water_g_per_l: without_water.zero? ? 0.0 : mass / without_water }
      end

      # Efflux time between the known readings of a product, log-linear; outside them nothing is guessed.
      # @param readings [Array<Array(Numeric, Numeric)>] thinner % and seconds
      # @return [Float, nil] seconds
      def efflux_s(readings, percent)
        sorted = readings.sort_by(&:first)
        return sorted.first.last.to_f if sorted.size == 1 && sorted.first.first == percent

        low, high = sorted.each_cons(2).find { |one, other| percent.between?(one.first, other.first) }
        return unless low
        return low.last.to_f if low.first == high.first

        part = (percent - low.first) / (high.first - low.first).to_f
        Math.exp(Math.log(low.last) * (1 - part) + Math.log(high.last) * part)
      end

      def not_water(part)
        less = part[:less_water_g_per_l].to_f
        if less.positive?
          part[:ready_g_per_l] / less
        else
          (part[:ready_g_per_l].to_f.positive? ? 1.0 : part.fetch(:solids, 1.0))
        end
      end
      private_class_method :not_water
    end
  end
end
