module Rhexon
  module Search
    # A lost window may be caught by holding the earlier coat: so long that its window still stands at the later coat,
    # or until the hands open next.
    # Or its scuff is done ahead, in hands that are free.
    class Repair
      TRIALS_A_ROUND = 4

      def initialize(model, construct)
        @model = model
        @construct = construct
      end

      # @param best [PartialSchedule]
      # @param builds [Integer]
      # @return [Array(PartialSchedule, Integer)]
      def run(best, builds)
        made = 0
        while made < builds
          trials = lost(best)
            .flat_map { |index| holds(best, index) }
            .first([ TRIALS_A_ROUND, builds - made ].min)
            .map { |held| @construct.run(best.order, held) }
          made += trials.size
          better = trials.select { |trial| (trial.goal <=> best.goal).negative? }.min_by(&:goal) or break
          best = better
        end
        [ best, made ]
      end

      private

      # Coats that are scuffed first because the window below was lost.
      def lost(trial)
        trial.scuff.each_index.select { |index| trial.scuff[index] && trial.work_start[index] && over(trial, index) }
      end

      def over(trial, index)
        @model.drying.unders[index].find do |under|
          (closes = under.closing&.at(trial.first_end[under.lower])) && trial.work_start[index] > closes &&
            @model.logged.placed[under.lower].nil?
        end
      end

      def holds(trial, index)
        under = over(trial, index)
        start = trial.start[under.lower]
        opening = @model.hours[trial.who[under.lower]].opening_after(start)
        [
          Planning::Calendar.ceil(start + trial.work_start[index] - under.closing.at(trial.first_end[under.lower])),
          opening
        ]
          .compact.uniq
          .map { |minute| trial.holds.hold(under.lower, minute) } +
          [ trial.holds.scuff_ahead(index) ]
      end
    end
  end
end
