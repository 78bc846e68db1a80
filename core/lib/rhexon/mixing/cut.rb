module Rhexon
  module Mixing
    # A cut of flake in spirit, held as g of flake per ml of spirit. One pound cut is 1 lb of flake to 1 US gal of
    # spirit: 119.826 g/L (NIST SP 811).
    Cut = Struct.new(:g_per_ml, :resin_density_g_per_ml, keyword_init: true) do
      # @param record [Hash] one of {"lb_per_gal"}, {"g_per_l"} (of spirit), {"g_to_ml" => [g, ml]}, {"parts_mass" =>
      #   [flake, spirit]}, {"percent_mass"} (of the solution; may carry "spirit_density_g_per_ml")
      # @param spirit_density [Numeric] g/ml
      # @param resin_density [Numeric] g/ml
      # @raise [InvalidInput]
      def self.read(record, spirit_density: nil, resin_density: nil, where: "cut")
        spirit = spirit_density || defaults.spirit_density_g_per_ml
        Rhexon.refuse_unless(
          record.is_a?(Hash) && record.any?, "The cut is missing", where: where,
          accepted: "lb_per_gal, g_per_l, g_to_ml, parts_mass or percent_mass"
        )
        value = in_g_per_ml(record, record["spirit_density_g_per_ml"] || spirit, where)
        most = defaults.strongest_g_per_ml
        Rhexon.refuse_unless(
          value.is_a?(Float) && value.finite? && value.positive? && value <= most, "That cut cannot be made",
          where: where,
          accepted: "more than 0 and up to " \
                    "#{(most / Units.convert(1, from: :lb_per_gal, to: :g_per_l) * 1000).round(1)} lb"
        )
        new(g_per_ml: value,
            resin_density_g_per_ml: (resin_density || defaults.resin_density_g_per_ml).to_f).freeze
      end

      # What a solution of so many solids by volume is cut to.
      # @return [Cut]
      def self.of_solids(percent)
        resin = defaults.resin_density_g_per_ml.to_f
        new(g_per_ml: percent / (100.0 - percent) * resin, resin_density_g_per_ml: resin).freeze
      end

      def self.in_g_per_ml(record, spirit, where)
        name, value = record.reject { |key, _| key == "spirit_density_g_per_ml" }.first
        numbers = [ value ].flatten
        Rhexon.refuse_unless(numbers.all? { |number| number.is_a?(Numeric) && number.to_f.finite? && number.positive? },
                             "#{value.inspect} is no cut", where: "#{where}/#{name}", accepted: "numbers above 0")
        case name
        when "lb_per_gal" then Units.convert(value, from: :lb_per_gal, to: :g_per_l) / 1000.0
        when "g_per_l" then value / 1000.0
        when "g_to_ml" then pair(numbers, "#{where}/#{name}").then { |flake, ml| flake / ml.to_f }
        when "parts_mass"
          pair(numbers, "#{where}/#{name}").then { |flake, spirit_g| flake / spirit_g.to_f * spirit }
        when "percent_mass" then percent(value, spirit, "#{where}/#{name}")
        else raise InvalidInput.new(
          "A cut is not given as #{name}", where: where,
          accepted: "lb_per_gal, g_per_l, g_to_ml, parts_mass or percent_mass"
        )
        end
      end

      def self.percent(value, spirit, where)
        Rhexon.refuse_unless(
          value < 100, "#{value} % of flake leaves no spirit", where: where, accepted: "less than 100 %"
        )
        value / (100.0 - value) * spirit
      end

      def self.pair(numbers, where)
        Rhexon.refuse_unless(
          numbers.size == 2, "That is not a pair", where: where, accepted: "two numbers, such as [1, 4]"
        )
        numbers
      end

      def self.defaults = Reference.mixing.cut
      private_class_method :in_g_per_ml, :percent, :pair

      def g_per_l = g_per_ml * 1000
      def lb_per_gal = Units.convert(g_per_l, from: :g_per_l, to: :lb_per_gal)
      # ml of flake in one ml of spirit
      def flake_ml = g_per_ml / resin_density_g_per_ml
      # Solids by volume of the solution: flake / (spirit + flake), volumes additive.
      def solids_volume_percent = 100 * flake_ml / (1 + flake_ml)
      # Of the solution; volumes additive.
      def density_g_per_ml
        (g_per_ml + Reference.mixing.cut.spirit_density_g_per_ml) / (1 + flake_ml)
      end

      # @return [Float] ml of spirit in an amount of solution
      def spirit_in(solution_ml) = solution_ml / (1 + flake_ml)
      def flake_in(solution_ml) = spirit_in(solution_ml) * g_per_ml
      def with(g_per_ml) = self.class.new(g_per_ml: g_per_ml, resin_density_g_per_ml: resin_density_g_per_ml).freeze
    end
    # Cuts that differ by less are the same: "2 lb" and 18 % of solids.
    Cut::SAME = 0.02
  end
end
