module Rhexon
  module Mixing
    # Making, thinning and raising a cut by exact mass balance, with the rule of thumb that takes solution for spirit
    # beside it.
    module Cuts
      # @!attribute rule_of_thumb_lb_per_gal [Float] c V / (V + S)
      # @!attribute off_percent              [Float] by how much the rule of thumb is off
      Result = Struct.new(:stock_ml, :add_spirit_ml, :add_flake_g, :flake_g, :spirit_ml, :solution_ml, :cut,
                          :rule_of_thumb_lb_per_gal, :off_percent, keyword_init: true)

      module_function

      # An amount of solution from flake and spirit.
      # @return [Result]
      def make(cut, solution_ml:)
        positive!(solution_ml, "make_ml")
        spirit = cut.spirit_in(solution_ml)
        Result.new(flake_g: spirit * cut.g_per_ml, spirit_ml: spirit, solution_ml: solution_ml.to_f, cut: cut)
      end

      # What a weight of flake makes.
      def from_flake(cut, flake_g:)
        positive!(flake_g, "flake_g")
        spirit = flake_g / cut.g_per_ml
        Result.new(flake_g: flake_g.to_f, spirit_ml: spirit, solution_ml: spirit * (1 + cut.flake_ml), cut: cut)
      end

      # What an amount of spirit makes.
      def from_spirit(cut, spirit_ml:)
        positive!(spirit_ml, "spirit_ml")
        Result.new(flake_g: spirit_ml * cut.g_per_ml, spirit_ml: spirit_ml.to_f,
                   solution_ml: spirit_ml * (1 + cut.flake_ml), cut: cut)
      end

      # A stock solution brought to another cut: spirit for a thinner one, flake for a stronger one.
      # @return [Result]
      def change(stock, solution_ml:, to:)
        positive!(solution_ml, "solution_ml")
        flake = stock.flake_in(solution_ml)
        spirit = stock.spirit_in(solution_ml)
        return raised(stock, solution_ml, to, spirit, flake) if to.g_per_ml > stock.g_per_ml

        thinned(stock, solution_ml, flake / to.g_per_ml - spirit)
      end

      # The cut that adding an amount of spirit gives: flake / (spirit in it + S).
      # @return [Result]
      def thinned(stock, solution_ml, add_spirit_ml)
        positive!(solution_ml, "solution_ml")
        Rhexon.refuse_unless(
          add_spirit_ml.is_a?(Numeric) && add_spirit_ml.to_f.finite? && add_spirit_ml >= 0,
          "#{add_spirit_ml.inspect} ml of spirit cannot be added", where: "add_spirit_ml", accepted: "0 ml or more"
        )
        flake = stock.flake_in(solution_ml)
        spirit = stock.spirit_in(solution_ml) + add_spirit_ml
        cut = stock.with(flake / spirit)
        rule = stock.lb_per_gal * solution_ml / (solution_ml + add_spirit_ml)
        Result.new(stock_ml: solution_ml.to_f, add_spirit_ml: add_spirit_ml.to_f, add_flake_g: 0.0, flake_g: flake,
                   spirit_ml: spirit, solution_ml: solution_ml + add_spirit_ml.to_f, cut: cut,
                   rule_of_thumb_lb_per_gal: rule, off_percent: (rule / cut.lb_per_gal - 1) * 100)
      end

      # How much stock and spirit make an amount of a thinner cut.
      # @return [Result]
      def from_stock(stock, make_ml:, to:)
        positive!(make_ml, "make_ml")
        Rhexon.refuse_unless(
          to.g_per_ml <= stock.g_per_ml, "Spirit cannot make a cut stronger", where: "to",
          accepted: "at most #{stock.lb_per_gal.round(2)} lb, or flake to raise it"
        )
        stock_ml = to.flake_in(make_ml) / stock.g_per_ml * (1 + stock.flake_ml)
        thinned(stock, stock_ml, [ make_ml - stock_ml, 0.0 ].max)
      end

      # @param method [String] standing, crushed or tumbled
      # @return [Array(Numeric, Numeric)] hours, shortest and longest
      def dissolving_h(method)
        Cut.defaults.dissolving_h.fetch(method) do
          raise InvalidInput.new(
            "Flake is not dissolved by #{method.inspect}", where: "method",
            accepted: Cut.defaults.dissolving_h.keys.join(", ")
          )
        end
      end

      # What the age of mixed shellac asks for.
      # @param months [Numeric] since it was mixed
      # @param keeps_months [Numeric] the shop's school
      # @return [String] "fresh", "test" (a smear on glass first) or "over"
      def age(months, keeps_months: Cut.defaults.keeps_months)
        return "over" if months > keeps_months

        months > Cut.defaults.test_after_months ? "test" : "fresh"
      end

      # Mixed shellac this old is tried on glass before it is used.
      # @param made_on [Date]
      # @param today [Date]
      def smear_first?(made_on, today) = today > made_on >> Cut.defaults.test_after_months

      # A thin smear on glass: tack-free in 15 min, and no nail may dent it next morning.
      # @return [Boolean]
      def smear_passes?(tack_free_min:, dents:) = tack_free_min <= Cut.defaults.smear_tack_free_min && !dents

      # @param spirit [Hash] "water_percent", "density_g_per_ml", "dyed"
      # @raise [InvalidInput] for spirit with water in it
      def check_spirit!(spirit)
        water = spirit["water_percent"].to_f
        most = Cut.defaults.most_water_percent
        Rhexon.refuse_unless(
          water.between?(0, most),
          "Spirit with #{format("%g", water)} % water in it: the flake gels and the film turns white",
          where: "spirit/water_percent", accepted: "#{most} % or less; rubbing grades will not do"
        )
      end

      def raised(stock, solution_ml, to, spirit, flake)
        wanted = to.g_per_ml * spirit
        Result.new(stock_ml: solution_ml.to_f, add_spirit_ml: 0.0, add_flake_g: wanted - flake, flake_g: wanted,
                   spirit_ml: spirit, solution_ml: spirit * (1 + to.flake_ml), cut: stock.with(to.g_per_ml))
      end
      private_class_method :raised

      def positive!(value, where)
        Rhexon.refuse_unless(
          value.is_a?(Numeric) && value.to_f.finite? && value.positive? && value <= PourSheet::MOST_G,
          "#{value.inspect} is no amount", where: where, accepted: "more than 0"
        )
      end
      private_class_method :positive!
    end
  end
end
