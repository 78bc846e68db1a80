module Rhexon
  module Planning
    # Plan = f(shop): several constructions, the best by goal, repaired where a recoat window was lost.
    # Deterministic: the seed and the number of builds are inputs, never the clock.
    class Planner
      BUILDS = { "quick" => 6, "full" => 60 }.freeze
      REPAIRS = { "quick" => 4, "full" => 20 }.freeze

      # Builds after which a plan that is in time and as early as the bound allows is taken.
      ENOUGH = { "quick" => 3, "full" => 30 }.freeze

      # @param shop [Shop]
      # @return [Plan]
      def self.plan(shop) = new(shop).plan

      def initialize(shop)
        @shop = shop
        index = 0
        @queues = shop.pieces.to_h do |piece|
          passes = Expansion.of(shop, piece, index)
          index += passes.size
          [ piece.id, passes ]
        end
        @drier = Drier.new(shop)
        @builder = Builder.new(shop, @queues, @drier)
      end

      def plan
        bound = Bound.of(@shop, @queues, @drier)
        best, builds = repair(*search(bound))
        Plan.new(shop: @shop, build: best, queues: @queues, bound: bound, drier: @drier, builds: builds)
      end

      private

      def search(bound)
        best = nil
        ranks(bound).each.with_index(1) do |rank, count|
          build = @builder.build(rank: rank)
          best = build if build.better_than?(best)
          @rank = rank if best.equal?(build)
          return [ best, {}, count ] if @queues.count { |_, passes| passes.any? } <= 1 || (count >= ENOUGH.fetch(@shop.effort) && at_bound?(best, bound))
        end
        [ best, {}, BUILDS.fetch(@shop.effort) ]
      end

      def at_bound?(build, bound)
        unmet, late, latest, = build.goal
        unmet.zero? && late.zero? && latest <= bound.ready_at
      end

      # First come first served; the longest tail first; then mixtures of the two with seeded noise.
      def ranks(bound)
        tails = bound.tails
        random = Random.new(@shop.seed)
        by_start = ->(placement) { placement.hands_start }
        by_tail = ->(placement) { placement.hands_start - (tails[placement.pass.key] || 0) }
        mixed = Array.new(BUILDS.fetch(@shop.effort) - 2) do
          weight = random.rand
          noise = Hash.new { |memo, key| memo[key] = random.rand(240) }
          ->(placement) { placement.hands_start - weight * (tails[placement.pass.key] || 0) + noise[placement.pass.key] }
        end
        [ by_start, by_tail, *mixed ]
      end

      # A lost window may be caught by holding the earlier coat.
      def repair(best, holds, builds)
        REPAIRS.fetch(@shop.effort).times do
          trials = lost(best).flat_map { |coat| hold_times(best, coat).map { |start| holds.merge(coat.window.of.key => start) } }.first(4)
          candidates = trials.map { |trial| [ @builder.build(holds: trial, rank: @rank), trial ] }
          builds += candidates.size
          better = candidates.select { |build, _| build.better_than?(best) }.min_by { |build, _| build.goal }
          return [ best, builds ] unless better

          best, holds = better
        end
        [ best, builds ]
      end

      def lost(build)
        build.placements.select { |placement| placement.window&.state == "scuffed" && !placement.inside && build.by_index[placement.window.of.index].status == "planned" }
      end

      # Hold it so long that its window still stands at the later coat, or until the shop opens next.
      def hold_times(build, coat)
        lower = build.by_index[coat.window.of.index]
        next_opening = @shop.calendar.from(lower.hands_start).find { |open, _| open > lower.hands_start }
        [ Calendar.ceil(lower.hands_start + coat.work_start - coat.window.closes_at), next_opening&.first ].compact.uniq
      end
    end
  end
end
