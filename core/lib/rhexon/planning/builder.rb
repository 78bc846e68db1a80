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
        @fixed ? restore(@fixed) : fix_logged
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
        @reserved = {}
        @prepared = {}
        @tried = {}
        @blocked = nil
        @pins = @relaxed ? {} : @shop.pins
        @hands = Hands.new(@shop.calendar)
      end

      # A proposal only gets later while hands fill up, so a stale one is reckoned again only when it comes first.
      def dispatch(left, rank)
        ranked = {}
        left.each { |id, passes| put(ranked, id, passes, rank) }
        until ranked.empty?
          id, (_, chosen) = ranked.min_by { |key, (value, _)| [ value, key ] }
          next put(ranked, id, left[id], rank) unless current?(chosen)

          commit(chosen)
          left[id].shift
          put(ranked, id, left[id], rank)
        end
      end

      def put(ranked, id, passes, rank)
        return ranked.delete(id) if passes.empty?

        placements = propose(passes.first)
        ranked[id] = [ rank.call(placements.first), placements ]
      rescue Blocked => blocked
        @blocked ||= { constraint: blocked.constraint, passes: [ blocked.pass.key ] }
        ranked.delete(id)
      end

      def current?(placements)
        placements.all? { |placement| placement.because == "pin" || placement.hands.all? { |from, to| @hands.free?(from, to) } }
      end

      # A pinned pass has its time reserved; whether it keeps it or not, the reservation ends here.
      def commit(placements)
        reserved = @reserved.delete(placements.last.pass.key)
        @hands.give_back(*reserved) if reserved
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
          placement.milestones = @drier.milestones(pass, earlier, placement.work_end)
        end
        pass.kind == "scuff" ? @scuffed[pass.key.delete_suffix("/scuff")] = placement : @placed[pass.index] = placement
        @order << placement
        @ends[pass.piece.id] = [ @ends[pass.piece.id] || 0, placement.hands_end ].max
      end

      def fix_logged
        @queues.each_value do |passes|
          passes.each_with_index do |pass, at|
            outwaited(pass, passes.drop(at + 1)) if pass.kind == "wait"
            fix(scuff_pass(pass), @shop.facts["#{pass.key}/scuff"]) if @shop.facts["#{pass.key}/scuff"]&.started_at
            fix(pass, @shop.facts[pass.key]) if @shop.facts[pass.key]&.started_at
          end
        end
        @fixed = [ @placed, @order, @scuffed, @ends, @hands.busy ].map(&:dup)
      end

      # A wait is over at the latest when work after it has begun.
      def outwaited(pass, later)
        begun = later.filter_map { |other| @shop.facts[other.key]&.started_at }.min or return
        waited = idle(pass, nil, [])
        finish = [ waited.work_end, begun ].min
        start = [ waited.work_start, finish ].min
        settle(Placement.new(**waited.to_h, hands_start: start, work_start: start, first_end: finish, work_end: finish, hands_end: finish, because: "log", status: "done"))
      end

      # What the log fixed is the same in every build.
      def restore(fixed)
        @placed, @order, @scuffed, @ends, busy = fixed.map(&:dup)
        @hands = Hands.new(@shop.calendar, busy)
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
        @queues.each_value.flat_map(&:itself).each do |pass|
          start = @pins[pass.key]
          next if start.nil? || @placed[pass.index] || start < @shop.now

          finish = start + pass.hands_min
          open = @shop.calendar.interval_at(start)
          next unless open && finish <= open[1] && @hands.busy.none? { |from, to| from < finish && start < to }

          @hands.take(start, finish)
          @reserved[pass.key] = [ start, finish ]
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
