module Rhexon
  module Picture
    # What a loop may still take: the length of one round, and how far the most of them would go.
    module LoopRounds
      # @!attribute minutes  [Integer] of one round, as planned
      # @!attribute more     [Integer] rounds that may come beyond those planned
      # @!attribute until    [Integer] minute to which they would go
      # @!attribute ready_at [Integer, nil] about, with all of them
      Round = Struct.new(:minutes, :more, :until, :ready_at, keyword_init: true)

      module_function

      # @param plan [Planning::Plan]
      # @param pass [Planning::Pass]
      # @return [Round, nil] nil for what sends nothing round again
      def of(plan, pass)
        again = pass.step["again"] or return
        mine = plan.of_piece(pass.piece.id)
        looks = mine.select { |other| other.pass.step.equal?(pass.step) }
        minutes = minutes(looks, mine.select { |other| again["steps"].include?(other.pass.step["id"]) }) or return
        more = [ again["most"] - (looks.size - 1), 0 ].max
        ready = plan.build.ready[pass.piece.id]
        Round.new(minutes: minutes, more: more, until: looks.last.hands_end + more * minutes,
                  ready_at: ready && ready + more * minutes)
      end

      # From look to look; where there is one alone, since its steps were begun.
      def minutes(looks, looped)
        return (looks.last.hands_end - looks.first.hands_end) / (looks.size - 1) if looks.size > 1

        looks.last.hands_end - looped.first.hands_start if looks.any? && looped.any?
      end
      private_class_method :minutes
    end
  end
end
