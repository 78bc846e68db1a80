module Rhexon
  module Search
    # The plan that is kept, put right where something happened, by the least that is sound: what still stands is left
    # alone and the rest goes into what is free; or those behind make room, where that moves less.
    # What is urgent, and has no place yet, goes before what stands.
    # At most four builds, so that the same shop has the same plan wherever and whenever it is asked.
    class Keeping
      # Minutes that a scuff costs, beside a pass that moves (Goal::MOVE_COST_MIN and as far as it moves). An estimate.
      SCUFF_MIN = 30
      # Lateness counts by the hour: nobody's date is kept by minutes. An estimate.
      LATE_MIN = 60

      # @param model [Model]
      # @param construct [Construct]
      def initialize(model, construct)
        @model = model
        @construct = construct
        @kept = Kept.new(model)
      end

      # @return [Array(PartialSchedule, Integer)] the plan, and how many builds were made
      def run
        trials = [ @construct.keep(@kept, rounds) ]
        if @kept.moved(trials.first).any?
          trials << @construct.keep(@kept, rounds, late: true) if @kept.any_late?
          trials << @construct.run(rounds.flatten, @kept)
        end
        trials << @construct.keep(@kept, urgent_first) if urgent.any?
        [ trials.min_by.with_index { |trial, at| [ *worth(trial), at ] }, trials.size ]
      end

      private

      # The shop's own pieces first; those of a class take what is left.
      # @return [Array<Array<Integer>>] pieces in their turns
      def rounds = @rounds ||= in_rounds(@model.pieces.each_index.to_a)

      def urgent_first = [ @kept.turns(urgent), *in_rounds(@model.pieces.each_index.to_a - urgent) ]

      def in_rounds(pieces)
        students = @model.shop.class_pieces
        pieces.partition { |piece| !students.include?(@model.pieces[piece].id) }
          .reject(&:empty?).map { |some| @kept.turns(some) }
      end

      # Urgent pieces that are not all placed yet.
      def urgent
        @urgent ||= @model.pieces.each_index.select do |piece|
          @model.pieces[piece].priority == "urgent" && !@kept.placed?(piece)
        end
      end

      def worth(trial)
        [ trial.lapsed.size + trial.blocked.size, (@model.goal.late_weighed(trial) / LATE_MIN).floor,
          cost(trial) + waiting(trial) ]
      end

      # What is urgent and has no place yet waits at so much a minute.
      def waiting(trial)
        urgent.sum { |piece| trial.ready[piece] || @model.horizon } * Reference.limits.priority["urgent"]
      end

      def cost(trial)
        moved = @kept.moved(trial)
        moved.sum { |index| Goal::MOVE_COST_MIN + by(trial, index) } + SCUFF_MIN * @model.goal.scuffs(trial)
      end

      def by(trial, index) = trial.start[index] ? (trial.start[index] - @kept.places[index].minute).abs : @model.horizon
    end
  end
end
