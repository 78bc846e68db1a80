module Rhexon
  module Search
    # Latest starts for a target: each piece alone, backward through the hours, so that it is ready by then.
    module BackwardPass
      module_function

      # @param model [Model]
      # @param targets [Array<Integer, nil>] minute by which each piece should be ready
      # @return [Array<Integer, nil>] by pass
      def starts(model, targets)
        latest = Array.new(model.size)
        done_by = Array.new(model.size)
        (model.size - 1).downto(0) do |index|
          piece = model.piece_of[index]
          target = targets[piece] if index <= model.worked_until[piece]
          next if target.nil? || model.logged.placed[index]

          latest[index] = start(model, index, target, latest, done_by)
          pull(model, index, latest[index], done_by) if latest[index]
        end
        latest
      end

      # @return [Integer, nil]
      def start(model, index, target, latest, done_by)
        following = index < model.last[model.piece_of[index]] ? latest[index + 1] : nil
        finish = [
          following || target, done_by[index] && done_by[index] + model.passes[index].cleanup_min,
          ready_by(model, index, target)
        ].compact.min
        return finish - (model.passes[index].minutes || 0) if model.kind[index] == :wait

        hands = model.times.hands[index]
        model.crews.crew[index].filter_map { |who| model.hours[who].latest_start(finish, [ hands, 1 ].max) }.max ||
          finish - hands
      end

      # The last coats must be dry by the target.
      def ready_by(model, index, target)
        model.drying.ready[index]&.latest_start_for(target)&.+(model.passes[index].cleanup_min)
      end

      # What it waits for must be done so much before.
      def pull(model, index, start, done_by)
        work = start + model.times.setup[index]
        model.drying.waits[index].each do |wait|
          next if wait.fixed

          by = wait.opening.latest_start_for(work) or next
          done_by[wait.lower] = by if done_by[wait.lower].nil? || by < done_by[wait.lower]
        end
      end
    end
  end
end
