require_relative "placing"
require_relative "windows"

module Rhexon
  module Planning
    # Constructs a plan: again and again the piece whose next pass can start first gets it.
    # What the log says is fixed first; pinned times are kept free.
    class Builder
      include Placing
      include Windows

      # @param shop [Shop]
      # @param queues [Hash{String=>Array<Pass>}] piece id => passes in document order
      # @param relaxed [Boolean] for the bound: no scuffs, and coats do not slow each other
      def initialize(shop, queues, drier, relaxed: false)
        @shop = shop
        @queues = queues
        @drier = drier
        @relaxed = relaxed
      end

      # @param holds [Hash{String=>Integer}] pass key => minute before which its hands may not start
      # @param rank [Proc] (Placement) -> number; the lowest goes first
      # @return [Build]
      def build(holds: {}, rank: ->(placement) { placement.hands_start })
        start_afresh(holds)
        fix_logged
        reserve_pins
        left = @queues.transform_values { |passes| passes.reject { |pass| @placed[pass.index] } }
        dispatch(left, rank)
        finish
      end

      private

      def start_afresh(holds)
        @holds = holds
        @placed = []
        @order = []
        @scuffed = {}
        @ends = {}
        @lapsed = []
        @blocked = nil
        @pins = @relaxed ? {} : @shop.pins
        @hands = Hands.new(@shop.calendar)
      end

      def dispatch(left, rank)
        proposals = {}
        until left.empty?
          left.each { |id, passes| passes.empty? ? left.delete(id) : proposals[id] ||= attempt(id, passes, left) }
          id, chosen = proposals.compact.min_by { |_, placements| [ rank.call(placements.first), placements.first.pass.key ] }
          break unless id

          commit(chosen)
          left[id].shift
          proposals.delete(id)
          proposals.delete_if { |_, placements| collide?(placements, chosen) }
        end
      end

      def attempt(id, passes, left)
        propose(passes.first)
      rescue Blocked => blocked
        @blocked ||= { constraint: blocked.constraint, passes: [ blocked.pass.key ] }
        left.delete(id)
        nil
      end

      def collide?(one, other)
        one.flat_map(&:hands).any? { |from, to| other.flat_map(&:hands).any? { |start, finish| from < finish && start < to } }
      end

      def commit(placements)
        placements.each do |placement|
          placement.hands.each { |from, to| @hands.take(from, to) } if placement.status == "planned"
          settle(placement)
        end
      end

      # From here on others can wait for it.
      def settle(placement)
        pass = placement.pass
        if pass.leaves_something?
          earlier = @relaxed ? 0 : pass.mates.count { |index| @placed[index] && placement.work_start - @placed[index].work_end < 1440 }
          placement.milestones = @drier.milestones(pass, earlier)
        end
        pass.kind == "scuff" ? @scuffed[pass.key.delete_suffix("/scuff")] = placement : @placed[pass.index] = placement
        @order << placement
        @ends[pass.piece.id] = [ @ends[pass.piece.id] || 0, placement.hands_end ].max
      end

      def fix_logged
        @queues.each_value do |passes|
          passes.each do |pass|
            fix(scuff_pass(pass), @shop.facts["#{pass.key}/scuff"]) if @shop.facts["#{pass.key}/scuff"]&.started_at
            fix(pass, @shop.facts[pass.key]) if @shop.facts[pass.key]&.started_at
          end
        end
      end

      def fix(pass, fact)
        finish = fact.done_at || [ @shop.now, fact.started_at + pass.hands_min ].max
        spent = finish - fact.started_at
        placement = Placement.new(pass: pass, hands: [ [ fact.started_at, finish ] ], hands_start: fact.started_at, work_start: fact.started_at,
                                  first_end: fact.started_at + (spent / pass.count.to_f).ceil, work_end: finish, hands_end: finish, waits: [],
                                  because: "log", status: fact.done_at ? "done" : "running", looks: fact.looks)
        @hands.take(@shop.now, finish) if finish > @shop.now
        placement.waits = waits(pass)
        meet_window(placement) if pass.film?
        settle(placement)
      end

      def reserve_pins
        @reserved = {}
        @queues.each_value.flat_map(&:itself).each do |pass|
          start = @pins[pass.key]
          next if start.nil? || @placed[pass.index] || start < @shop.now

          finish = start + pass.hands_min
          open = @shop.calendar.interval_at(start)
          next unless open && finish <= open[1] && @hands.busy.none? { |from, to| from < finish && start < to }

          @hands.take(start, finish)
          @reserved[pass.key] = true
        end
      end

      def finish
        ready = @queues.to_h { |id, passes| [ id, ready_at(passes) ] }
        Build.new(placements: @order.sort_by { |placement| [ placement.hands_start, placement.hands_end, placement.pass.index || 0 ] }, by_index: @placed, ready: ready,
                  lapsed: @lapsed, blocked: @blocked, goal: goal(ready))
      end

      # @return [Integer, nil] minute from which the piece is ready; nil when it never is or has nothing to do
      def ready_at(passes)
        return nil if passes.empty? || passes.any? { |pass| @placed[pass.index].nil? }

        milestone = passes.first.piece.ready_at
        ends = passes.map { |pass| @placed[pass.index].hands_end }
        dry = passes.select(&:last_on_faces).map { |pass| @drier.reached(@placed[pass.index], milestone)&.then { |reached| reached.reached_at or return nil } }
        (ends + dry.compact).max
      end

      def goal(ready)
        known = ready.values.compact
        late = @queues.sum { |id, passes| passes.empty? || ready[id].nil? || passes.first.piece.due.nil? ? 0 : [ ready[id] - passes.first.piece.due, 0 ].max }
        [ @lapsed.size + (@blocked ? 1 : 0), late, known.max || @shop.now, @order.count { |placement| placement.pass.kind == "scuff" }, known.sum ]
      end
    end
  end
end
