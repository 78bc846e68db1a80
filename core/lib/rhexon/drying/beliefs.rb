module Rhexon
  module Drying
    # The shop's beliefs of all its products, by phase (early, hard), and what a plan at a safety level makes of them.
    class Beliefs
      PHASES = %w[early hard].freeze

      attr_reader :share

      # @param records [Array<Hash>] {"product", "group" ("early" or "hard"), "m", "s", "coats"}
      # @param products [Hash{String=>Materials::Product}]
      # @param share [Float] safety level: this quantile of openings, one minus it of closings
      def initialize(records, products, share)
        @given = records.to_h { |record| [ [ record["product"], record["group"] ], Belief.new(record["m"].to_f, record["s"].to_f, record["coats"] || 0) ] }
        @products = products
        @share = share
        @factors = {}
      end

      # A product without a log begins at half the coat-weighted mean of its mechanism.
      # @return [Belief]
      def of(product, phase)
        @given.fetch([ product.id, phase ]) do
          kin = @given.select { |(id, group), belief| group == phase && belief.coats.positive? && @products[id]&.mechanism == product.mechanism }.values
          coats = kin.sum(&:coats)
          Belief.new(coats.zero? ? 0.0 : kin.sum { |belief| belief.m * belief.coats } / coats / 2, Belief::FIRST_SD, 0)
        end
      end

      # @return [Hash{String=>Float}, nil] factor by phase; nil when the sheet's times hold
      def factors(product)
        return if @given.empty? && share == 0.5

        @factors[product.id] ||= PHASES.to_h { |phase| [ phase, of(product, phase).factor(share) ] }
      end

      # A closing knows only the difference from coat to coat.
      # @return [Float]
      def closing_factor = share == 0.5 ? 1.0 : Math.exp(-Normal.quantile(share) * Belief::COAT_SD)
    end
  end
end
