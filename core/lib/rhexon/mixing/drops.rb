module Rhexon
  module Mixing
    # Hand-rubbed oils are dosed in drops.
    module Drops
      module_function

      # @param per_ml [Numeric] drops in a millilitre; 20 unless the shop counted its own
      # @return [Integer]
      def count(ml, per_ml: Reference.mixing.drops_per_ml) = (ml * per_ml).round

      # What the next coat takes: as reckoned until one was counted, and falling on as the last ones fell.
      # @param reckoned [Integer] drops
      # @param counts [Array<Numeric>] drops per coat, in order
      # @return [Integer]
      def expected(reckoned, counts)
        return reckoned if counts.empty?
        return counts.last.round if counts.size == 1

        (counts.last * (counts.last / counts[-2].to_f).clamp(*Reference.mixing.drops_next)).round
      end

      # What the drops used per coat say: falling, the wood fills; rising, a dry was missed.
      # @param counts [Array<Numeric>] drops per coat, in order
      # @return [String, nil] "filling", "missed_dry", "steady"; nil with fewer than two coats
      def trend(counts)
        return if counts.size < 2

        change = counts.last / counts[-2].to_f - 1
        return "steady" if change.abs <= Reference.mixing.drops_trend

        change.negative? ? "filling" : "missed_dry"
      end
    end
  end
end
