module Rhexon
  module Areas
    # How long an edge can be kept wet: 0.7 · rate · open time / strip width.
    module WetEdge
      module_function

      # @param rate_m2_per_h [Numeric] of the hands
      # @param open_min [Numeric] open time in this air
      # @param strip_m [Numeric] width of one strip of the tool
      # @return [Float] m
      def longest_m(rate_m2_per_h:, open_min:, strip_m:)
        Reference.hands.live_edge_share * rate_m2_per_h * (open_min / 60.0) / strip_m
      end

      # Open time of a product in the air of a room: shorter where its carrier leaves faster, never longer than on the
      # sheet.
      # @param product [Materials::Product]
      # @param climate [Drying::Climate]
      # @return [Float, nil] min; nil when the sheet has none
      def open_min(product, climate)
        product.open_time_min&.value&./([ Drying::Rate.factors(product, "early", climate).rate, 1.0 ].max)
      end
    end
  end
end
