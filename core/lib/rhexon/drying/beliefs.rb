module Rhexon
  module Drying
    # The shop's beliefs of all its products, by phase (early, hard), and what a plan at a safety level makes of them.
    class Beliefs
      PHASES = %w[early hard].freeze

      attr_reader :share, :coat_sd

      # @param records [Array<Hash>] {"product", "group" ("early" or "hard"), "m", "s", "coats"}
      # @param products [Hash{String=>Materials::Product}]
      # @param share [Float] safety level: this quantile of openings, one minus it of closings
      # @param coat_sd [Float, nil] of ln b from coat to coat, as the shop's log shows it; nil: the usual one
      def initialize(records, products, share, coat_sd = nil)
        @given = records.to_h do |record|
          [
            [ record["product"], record["group"] ], Belief.new(record["m"].to_f, record["s"].to_f, record["coats"] || 0)
          ]
        end
        @last = records.to_h { |record| [ [ record["product"], record["group"] ], record["last"] ] }
        @products = products
        @share = share
        @coat_sd = coat_sd || Belief::COAT_SD
        @factors = {}
      end

      # A product without a log begins at half the coat-weighted mean of its mechanism.
      # @return [Belief]
      def belief_for(product, phase)
        @given.fetch([ product.id, phase ]) do
          kin = @given.select { |(id, group), belief|
            group == phase && belief.coats.positive? &&
              @products[id]&.mechanism == product.mechanism
          }.values
          coats = kin.sum(&:coats)
          Belief.new(coats.zero? ? 0.0 : kin.sum { |belief| belief.m * belief.coats } / coats / 2, Belief::FIRST_SD, 0)
        end
      end

      # What moved the factor of a product, for the ledger.
      # @return [String, nil] nil when nothing did
      def label(product, phase)
        belief = belief_for(product, phase)
        return if belief.m.zero?

        factor = "#{format("%.2f", Math.exp(belief.m))} x the sheet"
        return "#{factor}, half of what other #{product.mechanism} materials showed" if belief.coats.zero?

        "#{factor} (#{belief.coats} #{belief.coats == 1 ? "coat" : "coats"} " \
        "logged#{look(@last[[ product.id, phase ]])})"
      end

      # @return [Hash{String=>Float}, nil] factor by phase; nil when the sheet's times hold
      def factors(product)
        return if @given.empty? && share == 0.5

        @factors[product.id] ||= PHASES.to_h { |phase| [ phase, belief_for(product, phase).factor(share, coat_sd) ] }
      end

      # A closing knows only the difference from coat to coat.
      # @return [Float]
      def closing_factor = share == 0.5 ? 1.0 : Math.exp(-Statistics::Normal.quantile(share) * coat_sd)

      private

      def look(last)
        return unless last && last["after_min"]

        exact = ", just then" if last["exact"]
        alone = ", one look, which says little" if last["alone"]
        "; last dry after #{Units.duration(last["after_min"])}#{exact}#{alone}"
      end
    end
  end
end
