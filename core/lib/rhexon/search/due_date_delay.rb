module Rhexon
  module Search
    # Work as late as is safe: every pass is held to its latest start for the due date, and where that makes a piece
    # late, by so much less.
    class DueDateDelay
      ROUNDS = 10
      # A piece that is late again gives way by twice as much.
      LEAST_MIN = 30

      # @param model [Model]
      # @param construct [Construct]
      def initialize(model, construct)
        @model = model
        @construct = construct
      end

      # @param best [PartialSchedule] built as soon as can be
      # @return [Array(PartialSchedule, Integer)] the best, and how many were made
      def run(best)
        targets = @model.pieces.each_index.map do |piece|
          best.ready[piece] && [ @model.pieces[piece].due&.clamp(nil, @model.horizon), best.ready[piece] ].compact.max
        end
        latest = BackwardPass.starts(@model, targets)
        earlier = Array.new(targets.size, 0)
        ROUNDS.times do |round|
          trial = @construct.dispatch(holds(best, latest, earlier))
          best = trial if (trial.goal <=> best.goal).negative?
          late = over(trial, targets)
          return [ best, round + 1 ] if late.all?(&:zero?)

          late.each_with_index do |minutes, piece|
            earlier[piece] += [ minutes, LEAST_MIN << round ].max if minutes.positive?
          end
        end
        [ best, ROUNDS ]
      end

      private

      def holds(best, latest, earlier)
        minutes = latest.each_with_index.filter_map do |minute, index|
          next unless minute && best.start[index] && @model.kind[index] != :wait

          later = minute - earlier[@model.piece_of[index]]
          [ index, Planning::Calendar.floor(later) ] if later > best.start[index]
        end
        Holds.new(minutes.to_h)
      end

      def over(trial, targets)
        targets.each_with_index.map do |target, piece|
          if target && (trial.ready[piece].nil? || trial.ready[piece] > target)
            (trial.ready[piece] || target + 1440) - target
          else
            0
          end
        end
      end
    end
  end
end
