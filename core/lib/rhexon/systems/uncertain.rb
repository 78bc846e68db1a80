module Rhexon
  module Systems
    # What of a schedule nobody can be sure of before it was seen: the factors of a trial, the least sure first.
    class Uncertain
      MOST = 2
      # Shares of what is reckoned, as a stain is tried around it: an estimate.
      AROUND = [ 0.7, 1.3 ].freeze
      # A can is tried against one that is so much duller or shinier, GU: an estimate.
      OTHER_GU = 8
      private_constant :AROUND, :OTHER_GU

      # @param plan [Planning::Plan] in which the piece has the schedule
      # @param piece_id [String]
      def initialize(plan, piece_id)
        @piece = plan.piece(piece_id)
        @products = plan.shop.products
        @steps = @piece.schedule["steps"]
      end

      # @return [Array<Hash>] factors of Boards::FactorLevels, at most two
      def factors = [ strength, *seal, sheen, filled, coats, last_grit ].compact.first(MOST)

      private

      def factor(step, name, field, levels)
        { "name" => name, "step" => step["id"], "field" => field, "levels" => levels } if levels.uniq.size > 1
      end

      def find(*kinds) = @steps.find { |step| kinds.include?(step["kind"]) }

      # How deep a stain goes on this very timber.
      def strength
        stain = find("stain") or return
        now = stain["strength_percent"] || 100
        return if stain["tint"]

        factor(stain, "stain strength", "strength_percent", AROUND.map { |share| (now * share / 5.0).round * 5 })
      end

      # Whether what is under or over the colour is needed.
      def seal
        @steps.select { |step| %w[washcoat seal barrier].include?(step["role"]) }.first(1).map do |step|
          factor(step, @products.fetch(step["product"]).name, "included", [ true, false ])
        end
      end

      def top = @steps.reverse.find { |step| step["kind"] == "coat" && [ nil, "top" ].include?(step["role"]) }

      # The sheen of a can is seen on a board only.
      def sheen
        step = top or return
        mine = @products.fetch(step["product"])
        return if mine.to_buy?

        gu = mine.sheen_gu&.value or return
        other = alike(mine, step["method"]).select { |one| (one.sheen_gu.value - gu).abs >= OTHER_GU }
          .min_by { |one| [ (one.sheen_gu.value - gu).abs, one.id ] } or return
        factor(step, "top coat", "product", [ mine.id, other.id ])
      end

      def alike(mine, method)
        @products.values.select do |one|
          one.class_id == mine.class_id && one.colour == mine.colour && !one.retired? && one.sheen_gu &&
            Schedule::Kinds.methods("coat", one).include?(method) && !one.to_buy?
        end
      end

      # How full the pores come.
      def filled
        fill = find("fill") or return
        factor(fill, "filler", "included", [ true, false ])
      end

      # How full the film looks.
      def coats
        step = top || find("coat", "oil") or return
        now = step["coats"] || 1
        factor(step, "coats", "coats", [ now, now > 1 ? now - 1 : now + 1 ])
      end

      # How far wood is sanded for colour and sheen.
      def last_grit
        sand = find("sand") or return
        now = sand["grits"]&.last
        other = { "P180" => "P220", "P220" => "P180" }.fetch(now, "P180")
        factor(sand, "last grit", "last_grit", [ now, other ]) if now
      end
    end
  end
end
