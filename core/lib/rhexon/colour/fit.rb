module Rhexon
  module Colour
    # What the shop's own boards teach: how its woods reflect under a film, and how strong a product really is. Says how well it fits, and how far it holds.
    module Fit
      # @!attribute values  [Hash{String=>Float}]
      # @!attribute before, after [Float] mean difference (CIEDE2000) of prediction and reading, with the usual figures and with the fitted ones
      # @!attribute count   [Integer] readings
      # @!attribute range   [Array(Float, Float), nil] of the factor that was varied; beyond it a prediction is an extrapolation
      Result = Struct.new(:values, :before, :after, :count, :range, keyword_init: true) do
        # @return [Boolean] whether a value lies outside what was read
        def beyond?(value) = !range.nil? && !value.between?(*range)

        # @return [String]
        def words = format("%d %s: mean difference %.1f before, %.1f with the shop's own figures", count, count == 1 ? "reading" : "readings", before, after)
      end
      STRENGTH = [ 0.2, 5.0 ].freeze
      ROUNDS = 40

      module_function

      # Surface shares from pairs of readings on the same wood, bare and under a clear film.
      # @param pairs [Array<Array(Array<Numeric>, Array<Numeric>)>] L*a*b* bare and coated, D65
      # @return [Result] "s" and "k2w"
      # @raise [Refusal] without a pair
      def surface(pairs, gu: 90.0)
        Rhexon.refuse_unless(pairs.any?, "No board has both a bare and a coated reading", where: "pairs", accepted: "at least one of each on the same wood")
        bare = pairs.map { |lab, _| Reflectance.from_lab(lab, Light.find("D65")) }
        error = lambda do |s, k2w|
          surface = Surface.usual("s" => s, "k2w" => k2w)
          bare.zip(pairs).sum { |reflectance, (_, coated)| DeltaE.ciede2000(coated, Spectrum.lab(surface.coated(surface.into(reflectance), gu: gu), Light.find("D65"))) } / pairs.size
        end
        usual = Reference.table("colour").fetch("surface").values_at("s", "k2w")
        best = (0..12).to_a.product((0..16).to_a).map { |i, j| [ 0.005 * i, 0.05 * j ] }.min_by { |s, k2w| error.call(s, k2w) }
        Result.new(values: { "s" => best[0].round(3), "k2w" => best[1].round(2) }, before: error.call(*usual), after: error.call(*best), count: pairs.size).freeze
      end

      # How strong a product is against its figures, by readings on boards that differ in nothing else that is unknown.
      # @param readings [Array<Array(Numeric, Array<Numeric>)>] the factor varied (strength %, µm, coats) and L*a*b* read, D65
      # @yieldparam strength [Float] multiplies the product's colour figures
      # @yieldparam factor [Numeric]
      # @yieldreturn [Array<Float>] predicted L*a*b*
      # @return [Result] "strength"
      # @raise [Refusal]
      def strength(readings)
        Rhexon.refuse_unless(readings.any?, "No board with that product was read", where: "readings", accepted: "at least one reading")
        error = ->(strength) { readings.sum { |factor, lab| DeltaE.ciede2000(lab, yield(strength, factor)) } / readings.size }
        found = least(error)
        Result.new(values: { "strength" => found.round(3) }, before: error.call(1.0), after: error.call(found), count: readings.size, range: readings.map(&:first).minmax).freeze
      end

      # Golden section on the logarithm, from the best of a coarse row so that a second valley does not mislead.
      def least(error)
        row = (0..16).map { |step| STRENGTH[0] * (STRENGTH[1] / STRENGTH[0])**(step / 16.0) }
        at = row.each_index.min_by { |index| error.call(row[index]) }
        low, high = [ row[[ at - 1, 0 ].max], row[[ at + 1, 16 ].min] ].map { |value| Math.log(value) }
        golden = (Math.sqrt(5) - 1) / 2
        ROUNDS.times do
          one, other = high - golden * (high - low), low + golden * (high - low)
          error.call(Math.exp(one)) < error.call(Math.exp(other)) ? high = other : low = one
        end
        Math.exp((low + high) / 2)
      end
      private_class_method :least
    end
  end
end
