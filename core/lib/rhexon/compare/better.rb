module Rhexon
  module Compare
    # What another plan of the same shop would gain over the one that is kept, and what it moves. The gain that is worth
    # asking for stands in limits.yml (better).
    class Better
      # Draws by which the chance of a date is held against another.
      RUNS = 200

      attr_reader :other

      # @param kept [Planning::Plan]
      # @param other [Planning::Plan]
      def initialize(kept, other)
        @kept = kept
        @other = other
      end

      # @return [Array<String>] ids of pieces that would be ready by the date asked for, and are not now
      def dates = due.select { |piece| late?(@kept, piece) && !late?(@other, piece) }.map(&:id)

      # @return [Float] minutes that pieces would be ready sooner, in the mean
      def ready_min = both.empty? ? 0.0 : both.sum { |_, was, now| was - now }.fdiv(both.size)

      # @return [Array<Array(String, Integer, Integer)>] pieces that would be ready at another time: id, minute now and
      #   then, those that change most first
      def ready = both.reject { |_, was, now| was == now }.sort_by { |id, was, now| [ -(now - was).abs, id ] }

      # @return [Integer] hands-on minutes that would be saved
      def hands_min = hands(@kept) - hands(@other)

      # @return [Array(Float, Float), nil] chance of the date that is kept least surely, now and then; nil: no date is
      #   asked for, or it is hardly surer
      def chance = (chances if surer?)

      # @return [Array<Planning::Moves::Move>] work that would move
      def moves
        starts = @kept.placements.select { |one| one.status == "planned" && one.hands.any? }
          .to_h { |one| [ one.pass.key, Planning::Start.new(one.hands_start, one.person) ] }
        Planning::Moves.for(@other, starts, near_min: 0).select { |move| move.from && move.to }
      end

      # @return [Boolean] worth asking: nothing gets worse that was asked for, and enough gets better
      def enough?
        return false if worse?

        dates.any? || ready_min >= limits["ready_min"] || hands_min >= limits["hands_min"] || surer?
      end

      private

      def limits = Reference.limits.better
      def due = @kept.shop.pieces.select(&:due)
      def late?(plan, piece) = (ready = plan.build.ready[piece.id]).nil? || ready > piece.due

      def hands(plan)
        plan.placements.sum { |one| one.status == "planned" ? one.hands.sum { |from, to| to - from } : 0 }
      end

      # Drawn by lot: a little more is no gain.
      def surer? = !chances.nil? && chances[1] - chances[0] >= limits["chance"]
      def chances = @chances ||= due.any? ? [ @kept, @other ].map { |plan| least_chance(plan) } : nil

      # @return [Array<Array(String, Integer, Integer)>] pieces that have a date in both
      def both
        @both ||= @kept.build.ready.filter_map { |id, was| (now = @other.build.ready[id]) && was && [ id, was, now ] }
      end

      def worse?
        @other.build.late_min > @kept.build.late_min || @other.build.blocked.size > @kept.build.blocked.size ||
          @other.build.lapsed.size > @kept.build.lapsed.size || ready_min.negative? ||
          due.any? { |piece| late?(@other, piece) && !late?(@kept, piece) } || less_sure?
      end

      def less_sure? = !chances.nil? && chances[0] - chances[1] >= limits["chance"]

      def least_chance(plan)
        outlook = Chance::Outlook.new(plan, runs: RUNS)
        due.map { |piece| outlook.share_by(piece.id, piece.due) }.min
      end
    end
  end
end
