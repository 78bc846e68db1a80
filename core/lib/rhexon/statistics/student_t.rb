module Rhexon
  module Statistics
    # Student's t, for intervals from few readings.
    module StudentT
      module_function

      # @param share [Float] e.g. 0.975
      # @param freedom [Integer] degrees of freedom, at least 1
      # @return [Float] quantile, by bisection
      def quantile(share, freedom)
        low, high = 0.0, 1e4
        100.times { ((low + high) / 2).then { |middle| below(middle, freedom) < share ? low = middle : high = middle } }
        (low + high) / 2
      end

      # Share below t, t >= 0: 1 - I(n / (n + t²); n/2, 1/2) / 2 (Abramowitz and Stegun 26.7.1).
      def below(t, freedom) = 1 - beta(freedom / (freedom + t**2), freedom / 2.0, 0.5) / 2

      # Regularised incomplete beta function by its continued fraction (Lentz; Press et al., Numerical Recipes, 6.4).
      def beta(x, a, b)
        return x if x <= 0 || x >= 1

        front = Math.exp(
          Math.lgamma(a + b)[0] - Math.lgamma(a)[0] - Math.lgamma(b)[0] + a * Math.log(x) + b * Math.log(1 - x)
        )
        x < (a + 1) / (a + b + 2) ? front * fraction(x, a, b) / a : 1 - front * fraction(1 - x, b, a) / b
      end
      private_class_method :beta

      def fraction(x, a, b)
        tiny = 1e-300
        c = 1.0
        d = 1 / [ 1 - (a + b) * x / (a + 1), tiny ].max
        h = d
        (1..300).each do |m|
          [
            m * (b - m) * x / ((a + 2 * m - 1) * (a + 2 * m)),
            -(a + m) * (a + b + m) * x / ((a + 2 * m) * (a + 2 * m + 1))
          ].each do |term|
            d = 1 + term * d
            d = 1 / (d.abs < tiny ? tiny : d)
            c = 1 + term / c
            c = tiny if c.abs < tiny
            h *= d * c
          end
          return h if (d * c - 1).abs < 1e-14
        end
        h
      end
      private_class_method :fraction
    end
  end
end
