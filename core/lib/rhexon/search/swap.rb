module Rhexon
  module Search
    # A look for a swap that saves a night or a week-end: a pass that could have begun before closing time, had its
    # piece had its turn earlier, gets that turn.
    class Swap
      # A gap of so long is a night.
      NIGHT_MIN = 4 * 60

      # @param model [Model]
      # @param construct [Construct]
      def initialize(model, construct)
        @model = model
        @construct = construct
      end

      # @param best [PartialSchedule]
      # @param builds [Integer] how many may be made
      # @return [Array(PartialSchedule, Integer)] the best, and how many were made
      def run(best, builds)
        made = 0
        tried = []
        while made < builds && (index = (nights(best) - tried).first)
          tried << index
          orders(best, index).first(builds - made).each do |order|
            made += 1
            trial = @construct.run(order, best.holds)
            next unless (trial.goal <=> best.goal).negative?

            best = trial
            tried.clear
            break
          end
        end
        [ best, made ]
      end

      private

      # Passes that were put off over night for want of hands, of the pieces that are ready last, the longest wait
      # first.
      def nights(trial)
        trial.start
          .each_index
          .select { |index| put_off(trial, index) > NIGHT_MIN }
          .sort_by do |index|
            [ -(trial.ready[@model.piece_of[index]] || @model.horizon), -put_off(trial, index), index ]
          end
      end

      def put_off(trial, index)
        unless trial.start[index] && trial.asked[index] &&
            %i[late hands room rack tool dust].include?(trial.why[index]) && !@model.logged.placed[index]
          return 0
        end

        trial.start[index] - trial.asked[index]
      end

      # Its turn right behind the one of its piece before, or half way there.
      def orders(trial, index)
        at = turn_of(trial.order, index)
        before = trial.order.first(at).rindex(@model.piece_of[index]) || -1
        [ before + 1, before + 1 + (at - before - 1) / 2 ]
          .uniq
          .reject { |place| place >= at }
          .map { |place| trial.order.dup.tap { |order| order.insert(place, order.delete_at(at)) } }
      end

      def turn_of(order, index)
        piece = @model.piece_of[index]
        turn = @model.open_passes(piece).index(index)
        order.each_index.select { |at| order[at] == piece }[turn] || order.size - 1
      end
    end
  end
end
