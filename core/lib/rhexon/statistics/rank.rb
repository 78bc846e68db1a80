module Rhexon
  module Statistics
    # Spearman (1904): the correlation of ranks, ties sharing their mean rank.
    module Rank
      module_function

      # @param one [Array<Numeric>]
      # @param other [Array<Numeric>] as many
      # @return [Float] -1 to 1
      def correlation(one, other)
        a, b = ranks(one), ranks(other)
        mean = (a.size + 1) / 2.0
        across = a.zip(b).sum { |x, y| (x - mean) * (y - mean) }
        spread = Math.sqrt(a.sum { |x| (x - mean)**2 } * b.sum { |y| (y - mean)**2 })
        spread.zero? ? 0.0 : across / spread
      end

      # @return [Array<Float>]
      def ranks(values)
        ranks = Array.new(values.size)
        at = 0
        values.each_index.sort_by { |index| values[index] }.chunk_while { |x, y| values[x] == values[y] }.each do |tied|
          tied.each { |index| ranks[index] = at + (tied.size + 1) / 2.0 }
          at += tied.size
        end
        ranks
      end
    end
  end
end
