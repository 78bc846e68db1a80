module Rhexon
  module Systems
    # Proposals by how near they come to a wish: each measure between the best and the worst there is, weighed.
    class Ranking
      # More than this is not asked of anybody to read.
      MOST = 6
      # So few are told even where one is better in everything.
      FEWEST = 3
      # What it lacks counts ten times what it has to spare.
      LACKING, SPARE = 1.0, 0.1
      # Hands and dates closer than these are the same to a hand.
      SAME_HANDS_MIN, SAME_DAY_MIN = 15, 720
      # Scores closer than this leave the choice to what is usual.
      NEAR = 0.15
      private_constant :NEAR

      attr_reader :wish

      # @param proposals [Array<Proposal>]
      # @param wish [Wish]
      # @param due [Integer, nil]
      def initialize(proposals, wish, due)
        @proposals = proposals
        @wish = wish
        @due = due
        @measured = proposals.to_h { |proposal| [ proposal, measures(proposal) ] }
      end

      # @return [Array<Proposal>] the best first
      def kept = @kept ||= (ranked - dropped.keys).first(MOST)

      # @return [Hash{Proposal=>String}] those that another makes needless, and why
      def dropped
        @dropped ||= begin
          all = ranked
          all.each_with_index.with_object({}) do |(proposal, at), gone|
            better = all.first(at).reject { |one| gone.key?(one) }
            why = alike(proposal, better) || dominated(proposal, better)
            gone[proposal] = why if why && all.size - gone.size > FEWEST
          end
        end
      end

      # @return [Float] 0 to 1; 1: the best in everything
      def score(proposal)
        weights = @wish.weights
        total = weights.values.sum
        return 0.0 if total.zero?

        weights.sum { |name, weight| weight * (1 - badness(proposal, name)) } / total
      end

      # What bears its use stands before what does not; what a knowing hand takes for such a piece first of all, where
      # it comes near the best.
      # @return [Array<Proposal>]
      def ranked
        @ranked ||= begin
          all = @proposals.sort_by { |one| [ one.lacks.empty? ? 0 : 1, -score(one).round(6), one.id ] }
          usual = all.find { |one| one.lacks.empty? && one.because(@wish) }
          usual && score(usual) > score(all.first) - NEAR ? [ usual, *(all - [ usual ]) ] : all
        end
      end

      private

      # Less is better.
      def measures(proposal)
        {
          "bears" => LACKING * proposal.lacks.values.sum - SPARE * proposal.spare, "look" => look(proposal),
          "sure" => proposal.sure? ? 0.0 : 1.0, "date" => proposal.ready_at.to_f, "hours" => proposal.hands_min.to_f,
          "usual" => proposal.because(@wish) ? 0.0 : 1.0,
          "cost" => proposal.cost || highest_cost, "odour" => proposal.odour.to_f,
          "skill" => proposal.skill.to_f, "repair" => 5.0 - proposal.repair
        }
      end

      def highest_cost = @highest_cost ||= @proposals.filter_map(&:cost).max || 0.0

      def look(proposal)
        gu = proposal.sheen_gu
        sheen = @wish.sheen && gu ? [ @wish.sheen[0] - gu, gu - @wish.sheen[1], 0 ].max / 20.0 : 0.0
        pores = @wish.pores == "closed" && proposal.pores != "closed" ? 1.0 : 0.0
        sheen + pores + marks(proposal) + (proposal.delta_e(@wish.lab) || 0) / COLOUR_DE
      end

      # A shine shows what the brush left; satin hides it.
      def marks(proposal)
        shine = ((@wish.gu || 0) - Reference.limits.flatted_below_gu).clamp(0, SHINES) / SHINES.to_f
        shine * proposal.texture_um / TEXTURE_UM
      end

      # A colour that is off by so much counts as much as pores that stay open.
      COLOUR_DE = 10.0
      SHINES, TEXTURE_UM = 50, 20.0
      private_constant :SHINES, :TEXTURE_UM, :COLOUR_DE

      def badness(proposal, name)
        values = @measured.each_value.map { |measure| measure.fetch(name) }
        low, high = values.minmax
        return 0.0 if high - low < 1e-9

        (@measured.fetch(proposal).fetch(name) - low) / (high - low)
      end

      # The same film with the same hands on the same day.
      def alike(proposal, better)
        other = better.find do |one|
          one.top.class_id == proposal.top.class_id && (one.hands_min - proposal.hands_min).abs < SAME_HANDS_MIN &&
            (one.ready_at - proposal.ready_at).abs < SAME_DAY_MIN
        end
        "as #{lower(other)}, the same day with the same hands" if other
      end

      # No better in anything than one that stands above it.
      def dominated(proposal, better)
        mine = @measured.fetch(proposal)
        other = better.find { |one| @measured.fetch(one).all? { |name, value| value <= mine.fetch(name) + 1e-9 } }
        "#{lower(other)} is no worse in anything" if other
      end

      def lower(proposal) = proposal.name.sub(/^./, &:downcase)
    end
  end
end
