module Rhexon
  module Search
    # Plan = f(shop): several builds, the best by goal, repaired where a recoat window was lost, then improved as far
    # as the effort goes.
    # Deterministic: the seed and the number of builds are inputs, never the clock.
    class Planner
      # Builds by how many passes are open: the first row that fits counts.
      EFFORT = {
        "quick" => [ [ 60, 25 ], [ 120, 8 ], [ 400, 4 ], [ 600, 3 ], [ Float::INFINITY, 2 ] ],
        "full" => [ [ 40, 6000 ], [ 60, 4000 ], [ 300, 800 ], [ 600, 60 ], [ Float::INFINITY, 3 ] ]
      }.freeze

      # Swaps that are looked at at most.
      SWAPS = 24

      # @param shop [Shop]
      # @param near [Plan, nil] of the same shop at another time: what dries in both alike is computed once
      # @return [Plan]
      def self.plan(shop, near: nil) = new(shop, **drier_of(shop, near)).plan

      def self.drier_of(shop, near) = near && shop.dries_like?(near.shop) ? { drier: near.drier } : {}
      private_class_method :drier_of

      # The plan with one piece placed anew while all others keep to where they stand: one build, for an answer at once.
      # @param standing [Plan] of a shop that differs in this piece only
      # @param record [Hash] the piece as rhexon-shop/1 has it
      # @return [Plan, nil] nil where it does not fit in between
      # @raise [InvalidInput] when the record is not sound
      def self.around(standing, record)
        new(standing.shop.with_piece(record), drier: standing.drier).around(standing, record["id"])
      end

      attr_reader :model, :construct

      # @param shop [Planning::Shop]
      # @param drier [Planning::MilestoneCalculator] of a shop with the same air and products, where there is one
      def initialize(shop, drier: Planning::MilestoneCalculator.new(shop))
        @shop = shop
        queues = Planning::Expansion.queues(shop)
        @model = Model.new(shop, queues, drier, Planning::ActualWork.new(shop, queues, drier))
        @construct = Construct.new(@model)
      end

      def bound = @bound ||= Bound.new(@model)

      # The shop's own pieces stand as they would without a class; those of the class take what is left.
      # @return [Plan]
      def plan
        return unfolded(*Keeping.new(@model, @construct).run) if @shop.kept?

        students = @shop.class_pieces
        return unfolded(*search) if students.empty? || students.size == @shop.pieces.size

        own = self.class.new(@shop.without(students), drier: @model.drier)
        trial, builds = own.search
        unfolded(@construct.beside(trial), builds + 1)
      end

      # @return [Plan, nil]
      def around(standing, piece_id)
        piece = @model.pieces.index { |candidate| candidate.id == piece_id }
        return if pinned_anew?(piece, standing)

        trial = @construct.around(piece, standing.trial)
        unfolded(trial, 1) if trial.blocked.none? { |block| @model.piece_of[block[:index]] == piece }
      end

      # The best build, and how many were made.
      # @return [Array(Search::PartialSchedule, Integer)]
      def search
        open = @model.open_size
        builds = EFFORT.fetch(full? ? "full" : "quick").find { |passes, _| open <= passes }.last
        best, made = first_builds(builds)
        return [ best, made ] if open.zero? || builds < 3

        best, more = Repair.new(@model, @construct).run(best, [ builds / 3, 2 ].max)
        made += more
        best, more = Swap.new(@model, @construct).run(
          best, (full? ? builds / 10 : builds - made).clamp(0, SWAPS)
        )
        finish(best, made + more, builds)
      end

      private

      def full? = @shop.effort == "full"

      def finish(best, made, builds)
        if @shop.goal == "late_as_safe"
          best, more = DueDateDelay.new(@model, @construct).run(best)
        elsif full?
          best, more = Improve.new(@model, @construct, bound, @shop.seed).run(best, builds - made)
        end
        [ best, made + (more || 0) ]
      end

      def unfolded(trial, builds)
        Planning::Plan.new(shop: @shop, model: @model, trial: trial, build: PlanBuilder.for(@model, trial),
                           bound: method(:bound), builds: builds, planner: self.class)
      end

      # A hand has fixed a time that the others may stand on.
      def pinned_anew?(piece, standing)
        @model.open_passes(piece).any? do |index|
          pin = @model.pinned[index]
          pin && standing.shop.pins[@model.passes[index].key] != pin
        end
      end

      # First come first served; the longest tail first; then mixtures of the two with seeded noise.
      def first_builds(builds)
        random = Random.new(@shop.seed)
        best = accepted.min_by(&:goal)
        weights(builds).each.with_index(1) do |weight, count|
          noise = count > 2 ? Array.new(@model.size) { random.rand(240) } : nil
          trial = @construct.dispatch(weight: weight || random.rand, tails: bound.tails, noise: noise)
          best = trial if best.nil? || (trial.goal <=> best.goal).negative?
          return [ best, count ] if @model.pieces.size <= 1 || at_bound?(best)
        end
        [ best, weights(builds).size ]
      end

      # The accepted plan as far as it still stands: its order, each pass held to its start, and as soon as that order
      # allows.
      # @return [Array<Search::PartialSchedule>]
      def accepted
        was = @model.passes
          .each_index
          .to_h { |index|
            [ index, @model.logged.placed[index] ? nil : @shop.previous[@model.passes[index].key]&.minute ]
          }.compact
        return [] if was.empty?

        order = Orders.by_start(@model, was)
        kept = Holds.new(was.reject { |_, minute| minute < @shop.now })
        [ kept, Holds::NONE ].map { |holds| @construct.run(order, holds) }
      end

      def weights(builds) = ([ 0.0, 1.0 ] + Array.new([ builds / 3 - 1, 12 ].min.clamp(0, 12))).first(builds)

      def at_bound?(trial) = @model.goal.reached?(trial, bound)
    end
  end
end
