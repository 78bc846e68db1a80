module Rhexon
  module Drying
    # What a shop believes of its own drying factor b of a product and group: ln b is normal with mean m and standard
    # deviation s.
    # Each coat teaches it once, when "dry" is logged, by one interval: last "not yet", first "dry".
    # @!attribute m, s  [Float] of ln b
    # @!attribute coats [Integer] that taught it
    Belief = Struct.new(:m, :s, :coats) do
      # @param from [Float, nil] x at the last "not yet"; nil: there was none
      # @param to   [Float, nil] x at the first "dry"; x = ln(integral of dt / t without b, from laying to the look)
      # @param noise [Float] standard deviation of what one coat says
      # @return [Belief]
      def after(from, to, noise = self.class::LOOK_SD)
        v = Math.sqrt(s**2 + noise**2)
        low, high = [ from || -Float::INFINITY, to || Float::INFINITY ].map { |x| (x - m) / v }
        mean, variance = Statistics::Normal.cut(low, high)
        return exactly([ from, to ].compact.min_by { |x| (x - m).abs }, noise) unless mean

        self.class.new(m + s**2 / v * mean, Math.sqrt([ s**2 - s**4 / v**2 * (1 - variance), 1e-6 ].max), coats + 1)
      end

      # The user said "just now".
      # @param x [Float]
      # @param noise [Float] standard deviation of what one coat says
      # @return [Belief]
      def exactly(x, noise = self.class::LOOK_SD)
        weight = 1 / s**2 + 1 / noise**2
        self.class.new((m / s**2 + x / noise**2) / weight, Math.sqrt(1 / weight), coats + 1)
      end

      # @param share [Float] quantile
      # @param coat_sd [Float] from coat to coat
      # @return [Float] b, coat-to-coat noise included
      def factor(share = 0.5, coat_sd = self.class::COAT_SD)
        share == 0.5 ? Math.exp(m) : Math.exp(m + Statistics::Normal.quantile(share) * Math.sqrt(s**2 + coat_sd**2))
      end
    end

    # Standard deviations of ln b: of one look, from coat to coat, and before anything is known.
    Belief::LOOK_SD = Reference.drying.belief.look_sd
    Belief::COAT_SD = Reference.drying.belief.coat_sd
    Belief::FIRST_SD = Reference.drying.belief.first_sd
  end
end
