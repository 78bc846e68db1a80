module Rhexon
  module Mixing
    # What to pour, in order: for each pour the target reading, the lowest and highest that is accepted, and the
    # running total.
    class PourSheet
      # @!attribute running_g [Float] what a scale that is not zeroed should read after it
      Pour = Struct.new(:name, :g, :ml, :low_g, :high_g, :running_g, :component, keyword_init: true)
      MOST_G = 1_000_000

      attr_reader :recipe, :resolution_g, :factor

      # @param recipe [Recipe]
      # @param want [Hash] one of {"total_ml"}, {"total_g"}, {"have" => {"name", "g" or "ml"}} or have as a list: then
      #   the limiting one decides
      # @param resolution_g [Numeric] of the scale
      # @raise [InvalidInput]
      def initialize(recipe, want, resolution_g: 1)
        @recipe = recipe
        @want = want
        @resolution_g = resolution_g.to_f
        Rhexon.refuse_unless(
          @resolution_g.positive?, "The scale has no resolution", where: "scale/resolution_g", accepted: "more than 0 g"
        )
        @factor = factor_of(want)
        Rhexon.refuse_unless(total_g <= MOST_G, "A mix of #{(total_g / 1000).round} kg is more than any pot here holds",
                             where: "want", accepted: "up to 1000 kg")
      end

      # @return [Array<Float>]
      def grams = recipe.unit_g.map { |g| g * factor }
      def millilitres = recipe.unit_ml.map { |ml| ml * factor }
      def total_g = grams.sum
      def total_ml = millilitres.sum

      # @return [Array<Pour>]
      def pours
        running = 0.0
        recipe.components.zip(grams, millilitres).map do |component, g, ml|
          running += g
          low, high = component.allowed
          Pour.new(name: component.name, g: g, ml: ml, low_g: g * low, high_g: g * high, running_g: running,
                   component: component)
        end
      end

      # A scale is off by half of its step at the worst: more than may miss of some component.
      def too_small? = total_g < smallest_total_g - 1e-9

      # @return [Float] the smallest batch this scale can weigh: half its step / what may miss / share by mass, largest
      #   over the components; 0 for a product that is poured as it is
      def smallest_total_g
        return 0.0 if recipe.components.one?

        recipe.components.zip(recipe.mass_shares).map { |one, share| resolution_g / 2 / one.slack / share }.max
      end

      # @return [Pour] the one that a scale tells worst for what may miss of it
      def least_told = pours.min_by { |pour| pour.g * pour.component.slack }

      # Which stock decides when several are given.
      # @return [String, nil]
      def limiting
        @want["have"].is_a?(Array) ? @want["have"].min_by { |stock| stock_factor(stock) }.fetch("name") : nil
      end

      private

      def factor_of(want)
        case want.keys.first
        when "total_ml" then positive(want["total_ml"], "total_ml") / recipe.unit_ml.sum
        when "total_g" then positive(want["total_g"], "total_g") / recipe.unit_g.sum
        when "have" then [ want["have"] ].flatten.map { |stock| stock_factor(stock) }.min
        else raise InvalidInput.new(
          "How much is wanted is missing", where: "want", accepted: "total_ml, total_g, or have with a name and g or ml"
        )
        end
      end

      def stock_factor(stock)
        index = recipe.index(stock["name"]) or
          raise InvalidInput.new(
            "The mix has no component called #{stock["name"]}", where: "want/have/name",
            accepted: recipe.components.map(&:name).join(", ")
          )
        return positive(stock["g"], "have/g") / recipe.unit_g[index] if stock.key?("g")

        positive(stock["ml"], "have/ml") / recipe.unit_ml[index]
      end

      def positive(value, where)
        Rhexon.refuse_unless(value.is_a?(Numeric) && value.to_f.finite? && value.positive?,
                             "#{value.inspect} is no amount to mix", where: "want/#{where}", accepted: "more than 0")
        value.to_f
      end
    end
  end
end
