module Rhexon
  module Search
    # Looks for a better order, aiming at a target: latest starts for it say which passes are late, and moves pull
    # those forward.
    # A build's makespan alone is flat between nights; lateness against the target is not.
    class Improve
      # Failures after which the target gives way.
      PATIENCE = 80
      # Between the bound and the best the target stands at so many places; past the best the search begins anew.
      TARGETS = 2
      NOISE_MIN = 120

      # @param model [Model]
      # @param construct [Construct]
      # @param bound [Bound]
      # @param seed [Integer]
      def initialize(model, construct, bound, seed)
        @model = model
        @construct = construct
        @bound = bound
        @random = Random.new(seed)
      end

      # @param best [PartialSchedule]
      # @param builds [Integer] how many may be made
      # @return [Array(PartialSchedule, Integer)] the best, and how many were made
      def run(best, builds)
        return [ best, 0 ] if @model.pieces.size < 2 && @model.size < 2

        aim(@bound.ready_at)
        current, value = best, worth(best)
        failures = made = 0
        while made < builds && !reached?(best)
          trial = neighbour(current)
          made += 1
          best = trial if (trial.goal <=> best.goal).negative?
          reached = worth(trial)
          if (reached <=> value).positive?
            failures += 1
          else
            failures = 0 if (reached <=> value).negative?
            current, value = trial, reached
          end
          next unless failures > PATIENCE

          failures = 0
          made += 1 unless nearer?(best)
          current = nearer?(best) ? best : begun_anew
          aim(nearer?(best) ? @target + step(best) : @bound.ready_at)
          value = worth(current)
        end
        [ best, made ]
      end

      private

      def reached?(best) = @model.goal.reached?(best, @bound)

      # Whether the next target is still before the best.
      def nearer?(best) = @target + step(best) < best.ready.compact.max.to_i

      def step(best) = [ (best.ready.compact.max.to_i - @bound.ready_at) / TARGETS, 5 ].max

      def aim(target)
        @target = target
        @latest = BackwardPass.starts(@model, @model.pieces.map { |piece| [ target, piece.due ].compact.min })
      end

      def worth(trial)
        head = Goal::HEAD + (@model.goal.soon? ? 0 : 1)
        [ *trial.goal.first(head), lateness(trial), *trial.goal.drop(Goal::HEAD) ]
      end

      def lateness(trial)
        sum = 0
        index = 0
        starts = trial.start
        while index < starts.size
          late = (latest = @latest[index]) && starts[index] ? starts[index] - latest : 0
          sum += late if late.positive?
          index += 1
        end
        sum
      end

      def neighbour(trial)
        order = trial.order.dup
        holds = trial.holds
        case @random.rand(12)
        when 0..4 then pull_forward(trial, order)
        when 5, 6 then insert(order)
        when 7 then swap(order)
        when 10, 11 then pull_piece(order)
        else holds = toggle(trial, holds)
        end
        @construct.run(order, holds)
      end

      # Begun anew, as another mixture of first come and longest tail.
      def begun_anew
        noise = @random.rand(3).zero? ? nil : Array.new(@model.size) { @random.rand(NOISE_MIN) }
        @construct.dispatch(weight: @random.rand * 1.5, tails: @bound.tails, noise: noise)
      end

      # A pass that is late goes before others.
      def pull_forward(trial, order)
        late = trial.start.each_index.select do |index|
          @latest[index] && trial.start[index] && trial.start[index] > @latest[index] && !@model.logged.placed[index]
        end
        return insert(order) if late.empty?

        move(order, place_of(late[@random.rand(late.size)], order), -1 - @random.rand(8))
      end

      # Several passes of one piece go before others, each by as much: a chain that is late as a whole.
      def pull_piece(order)
        piece = @random.rand(@model.pieces.size)
        from = @random.rand(order.size)
        by = 1 + @random.rand(6)
        taken = 0
        order.each_index
          .select { |at| at >= from && order[at] == piece }
          .first(2 + @random.rand(3))
          .each { |at| taken += 1 if move(order, at, -by) }
      end

      # Where in the order a pass has its turn.
      def place_of(index, order)
        piece = @model.piece_of[index]
        turn = @model.first[piece].upto(index).count { |other| @model.logged.placed[other].nil? }
        order.each_with_index { |other, at| return at if other == piece && (turn -= 1).zero? }
        0
      end

      def insert(order) = move(order, @random.rand(order.size), @random.rand(17) - 8)

      def swap(order)
        one = @random.rand(order.size)
        other = (one + 1 + @random.rand(8)).clamp(0, order.size - 1)
        order[one], order[other] = order[other], order[one]
      end

      def move(order, from, by) = order.insert((from + by).clamp(0, order.size - 1), order.delete_at(from))

      # Films under those coats that are not in the log yet.
      def open_under(coats)
        coats.flat_map { |index| @model.drying.unders[index].map(&:lower) }
          .select { |index| @model.logged.placed[index].nil? }
      end

      def planned(trial)
        @model.passes.each_index.select do |index|
          trial.start[index] && @model.kind[index] != :wait && @model.logged.placed[index].nil?
        end
      end

      # Holds a coat until the next opening, or lets its scuff go ahead; or lets go of either.
      def toggle(trial, holds)
        scuffed = trial.scuff.each_index.select { |index| trial.scuff[index] }
        return holds.toggle_scuff(scuffed[@random.rand(scuffed.size)]) if scuffed.any? && @random.rand(3).zero?

        lost = open_under(scuffed)
        pool = lost.any? && @random.rand(3) < 2 ? lost : planned(trial)
        return holds if pool.empty?

        index = pool[@random.rand(pool.size)]
        holds.toggle(index, @model.hours[trial.who[index] || 0].opening_after(trial.start[index]))
      end
    end
  end
end
