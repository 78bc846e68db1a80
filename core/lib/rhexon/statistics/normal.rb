module Rhexon
  module Statistics
    # The normal distribution.
    module Normal
      module_function

      # Share below x.
      def share(x) = 0.5 * Math.erfc(-x / Math.sqrt(2))

      # Share between two values, exact in the tails too.
      def between(low, high) = low.positive? ? share(-low) - share(-high) : share(high) - share(low)

      def density(x) = x.infinite? ? 0.0 : Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math::PI)

      # The value below which that share lies: Newton's method from zero.
      # @param share [Float] 0.001 to 0.999
      def quantile(share)
        return 0.0 if share == 0.5

        20.times.reduce(0.0) { |x, _| x - ((self.share(x) - share) / density(x)).clamp(-1, 1) }
      end

      # Mean and variance of a standard normal cut to an interval.
      # @return [Array(Float, Float), nil] nil: so far out that nothing is left of it
      def cut(low, high)
        mass = between(low, high)
        return if mass < 1e-300

        mean = (density(low) - density(high)) / mass
        edges = (low.infinite? ? 0.0 : low * density(low)) - (high.infinite? ? 0.0 : high * density(high))
        [ mean, 1 + edges / mass - mean**2 ]
      end

      # @param random [Random]
      # @return [Float] one draw (Box and Muller 1958)
      def draw(random) = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
    end
  end
end
