module Rhexon
  module Search
    # What a build is worth: a list of numbers compared from the first on, smaller is better.
    # Unmet hard rules and minutes late (summed over jobs, an urgent piece's tenfold) come first under every goal, then
    # the promise that is kept least surely, if promises are to be kept, and when what is urgent is ready.
    class Goal
      NAMES = %w[promises soonest fewest_sessions least_hands late_as_safe].freeze
      # So many numbers come before the goal's own.
      HEAD = 4
      # A margin counts by twentieths.
      MARGIN_PARTS = 20
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
        @margins = Margins.new(model)
        @urgent, @normal, @when_time = Planning::Piece::PRIORITIES.map do |priority|
          model.pieces.each_index.select { |piece| model.pieces[piece].priority == priority }
        end
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
      def late(trial) = @jobs.sum { |pieces| pieces.map { |piece| piece_late(trial, piece) }.max }

      # The same, as much as each piece counts.
      def late_weighed(trial)
        return late(trial) if @urgent.empty? && @when_time.empty?

        @jobs.sum { |pieces| pieces.map { |piece| piece_late(trial, piece) * weight(piece) }.max }
      end

      # As good as any plan can be: in time, by what is promised, as early as can be, and nothing put in.
      # @param bound [Bound]
      def reached?(trial, bound)
        trial.goal.first(3).all?(&:zero?) && @urgent.empty? && @when_time.empty? && soon? &&
          trial.goal[HEAD] <= bound.ready_at && trial.goal[HEAD + 1].zero?
      end

      # @return [Boolean] the earlier the better
      def soon? = %w[promises soonest].include?(@name)

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
        head = [ trial.lapsed.size + trial.blocked.size, late_weighed(trial), short(trial), urgent_ready(trial) ]
        latest = (latest(trial) || @now) + moves(trial)
        case @name
        when "fewest_sessions" then [ *head, sessions(trial), latest, scuffs(trial), known.sum ]
        when "late_as_safe" then [ *head, -starts(trial), scuffs(trial), latest ]
        when "least_hands" then [ *head, hands_min(trial), latest, scuffs(trial), known.sum ]
        else [ *head, latest, scuffs(trial), known.sum ]
        end
      end

      # Minutes at which urgent pieces are ready, in all.
      def urgent_ready(trial) = @urgent.sum { |piece| trial.ready[piece] || @model.horizon }

      # What is done when there is time does not hold up the last date.
      def latest(trial)
        waited = @when_time.size < trial.ready.size ? @urgent + @normal : @when_time
        waited.filter_map { |piece| trial.ready[piece] }.max
      end

      def piece_late(trial, piece)
        due, ready = @model.pieces[piece].due, trial.ready[piece]
        due && ready && ready > due ? ready - due : 0
      end

      def weight(piece) = Reference.limits.priority[@model.pieces[piece].priority]

      # How much of its margin the promise that is kept least surely has not.
      # @return [Integer] 0 to MARGIN_PARTS
      def short(trial)
        # A plan that is kept is not held against others by it.
        return 0 if @name != "promises" || @model.shop.kept?

        (@urgent + @normal).map { |piece| piece_short(trial, piece) }.max || 0
      end

      def piece_short(trial, piece)
        due = @model.pieces[piece].due
        return 0 unless due && @model.open_passes(piece).any? && @margins[piece].positive?

        left = due - (trial.ready[piece] || @model.horizon)
        ((1 - left / @margins[piece]) * MARGIN_PARTS).ceil.clamp(0, MARGIN_PARTS)
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
