module Rhexon
  module Statistics
    # A share that was counted, with the score interval of Wilson (1927): sound for few and for none.
    module Share
      # Of 95 in 100.
      Z = 1.959964

      module_function

      # @param count [Integer] of +of+
      # @param of [Integer] more than 0
      # @return [Array(Float, Float)] from and to, 0 to 1
      def interval(count, of)
        share = count / of.to_f
        middle = (share + Z**2 / (2 * of)) / (1 + Z**2 / of)
        half = Z / (1 + Z**2 / of) * Math.sqrt(share * (1 - share) / of + Z**2 / (4 * of**2))
        [ [ middle - half, 0.0 ].max, [ middle + half, 1.0 ].min ]
      end
    end
  end
end
