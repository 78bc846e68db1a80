module Rhexon
  module Picture
    # Drops of a rubbed oil: what the next coat takes, what the coats before took, and which way that goes.
    class CountedDrops
      # @param plan [Planning::Plan]
      # @param pass [Planning::Pass] a rubbed coat, or a look that sends one round again
      def initialize(plan, pass)
        @plan = plan
        @pass = pass
      end

      # @return [Integer, nil] to one piece; nil where nothing is dosed in drops by this pass
      def expected
        return unless Mixing::Laying.rubbed?(@pass)

        Mixing::Drops.expected(Mixing::Drops.count(Mixing::Laying.of_pass(@pass).laid_ml / @pass.count), used)
      end

      # @return [Array<Numeric>] counted at the bench, in order
      def used
        @used ||= before.filter_map { |placement| @plan.shop.facts[placement.pass.key]&.drops }
      end

      # @return [String, nil] filling, missed_dry or steady
      def trend = Mixing::Drops.trend(used)

      # @return [Hash, nil] nil where no drops are to be told
      def to_h
        return unless Mixing::Laying.rubbed?(@pass) || @pass.step["again"]

        { expected: expected, used: used, trend: trend } if expected || used.any?
      end

      private

      # Coats on the same faces before this one; scuffs that the plan puts in have no place in the schedule.
      def before
        return [] unless @pass.index

        steps = @pass.step["again"] ? @pass.step["again"]["steps"] : [ @pass.step["id"] ]
        @plan.of_piece(@pass.piece.id).select do |other|
          other.pass.leaves_something? && other.pass.index < @pass.index && steps.include?(other.pass.step["id"]) &&
            (other.pass.faces & @pass.faces).any?
        end
      end
    end
  end
end
