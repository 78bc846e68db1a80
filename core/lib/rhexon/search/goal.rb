module Rhexon
  module Search
    # What a build is worth: a list of numbers compared from the first on, smaller is better.
    # Unmet hard rules and minutes late (summed over jobs) come first under every goal.
    class Goal
      NAMES = %w[soonest fewest_sessions least_hands late_as_safe].freeze
      # An accepted plan is left near: a start that moves by more than this within two shop days, or another person,
      # costs ten minutes.
      MOVE_COST_MIN = 10

      # @param model [Model]
      def initialize(model)
        @model = model
        @now = model.shop.now
        @name = model.shop.goal
        @jobs = model.pieces.each_index.group_by { |piece| model.pieces[piece].job }.values
        @previous = near(model)
      end

      # Sets ready and goal of a build.
      # @param trial [PartialSchedule]
      # @return [Array<Numeric>]
      def value(trial)
        trial.ready = @model.pieces.each_index.map { |piece| ready_at(trial, piece) }
        trial.goal = tuple(trial, trial.ready.compact)
      end

      # @return [Integer, nil] minute from which a piece is ready; nil: never, or it has nothing to do
      def ready_at(trial, piece)
        first, last = @model.first[piece], @model.worked_until[piece]
        return if last < first

        latest = 0
        first.upto(last) do |index|
          done = trial.hands_end[index] or return
          latest = done if done > latest
          next unless @model.drying.ready[index]

          dry = dry_at(trial, index) or return
          latest = dry if dry > latest
        end
        latest
      end

      # Minutes late, over the jobs.
      def late(trial)
        @jobs.sum do |pieces|
          pieces.map { |piece|
            (due = @model.pieces[piece].due) && trial.ready[piece] &&
              trial.ready[piece] > due ? trial.ready[piece] - due : 0
          }.max
        end
      end

      def scuffs(trial) = trial.scuff.count(&:itself) + @model.logged.scuffed.size

      # Distinct piece and local date on which hands are on it.
      def sessions(trial)
        zone = @model.shop.zone
        placed = trial.start.each_index.select { |index| trial.start[index] && @model.kind[index] != :wait }
        begun = placed.flat_map { |index| stretches(trial, index).map { |from, _| [ @model.piece_of[index], from ] } }
        scuffed = trial.scuff.each_index.filter_map do |index|
          trial.scuff[index] && [ @model.piece_of[index], trial.scuff[index][0] ]
        end
        (begun + logged_scuffs + scuffed).uniq { |piece, minute| [ piece, zone.day(minute) ] }.size
      end

      # @return [Array<Array(Integer, Integer)>] piece and minute
      def logged_scuffs
        @model.logged.scuffed.map do |placement|
          [ @model.pieces.index { |piece| piece.id == placement.pass.piece.id }, placement.hands_start ]
        end
      end

      def hands_min(trial)
        trial.start.each_index.sum { |index| trial.start[index] ? @model.times.hands[index] : 0 } +
          trial.scuff.compact.sum { |start, finish, _| finish - start }
      end

      private

      def tuple(trial, known)
        unmet = trial.lapsed.size + trial.blocked.size
        latest = (known.max || @now) + moves(trial)
        case @name
        when "fewest_sessions" then [ unmet, late(trial), sessions(trial), latest, scuffs(trial), known.sum ]
        when "late_as_safe" then [ unmet, late(trial), -starts(trial), scuffs(trial), latest ]
        when "least_hands" then [ unmet, late(trial), hands_min(trial), latest, scuffs(trial), known.sum ]
        else [ unmet, late(trial), latest, scuffs(trial), known.sum ]
        end
      end

      def starts(trial)
        trial.start.each_index.sum do |index|
          if trial.start[index] && @model.logged.placed[index].nil? && @model.kind[index] != :wait
            trial.start[index] - @now
          else
            0
          end
        end
      end

      def dry_at(trial, index)
        placed = @model.logged.placed[index]
        if placed
          (@logged_dry ||= {}).fetch(index) do
            @logged_dry[index] = @model.drier.reached_at(placed, placed.pass.piece.ready_at)
          end
        else
          @model.drying.ready[index].at(trial.work_end[index], trial.early[index])
        end
      end

      def stretches(trial, index) = trial.stretches[index] || [ [ trial.start[index], trial.hands_end[index] ] ]

      def moves(trial)
        MOVE_COST_MIN * @previous.count do |index, was|
          start = trial.start[index]
          start &&
            ((start - was.minute).abs > Planning::Start::NEAR_MIN ||
              (was.person && trial.who[index] && @model.people[trial.who[index]].id != was.person))
        end
      end

      # Passes that an accepted plan begins within two shop days.
      def near(model)
        return {} if model.shop.previous.empty?

        until_minute = Planning::ShopDays.after(model.shop, 2)
        model.passes
          .each_index
          .filter_map { |index|
            (was = model.shop.previous[model.passes[index].key]) && was.minute < until_minute &&
              !model.logged.placed[index] ? [ index, was ] : nil
          }.to_h
      end
    end
  end
end
