module Rhexon
  module Planning
    # Finds the place of one pass on the clock, given what is placed before it.
    # Reads +@shop+, +@drier+, +@hands+, +@placed+, +@holds+ and +@relaxed+ of the builder it is part of.
    module Placing
      Blocked = Class.new(StandardError) do
        attr_reader :constraint, :pass

        def initialize(constraint, pass)
          @constraint = constraint
          @pass = pass
          super(constraint)
        end
      end

      private

      # @return [Array<Placement>] the pass, preceded by its scuff where it needs one
      # @raise [Blocked]
      def propose(pass)
        waits, ready, floor = @prepared[pass.key] ||= prepare(pass)
        return [ idle(pass, ready, waits) ] if pass.kind == "wait"

        pinned = @pins[pass.key] && at_pin(pass, floor, waits)
        return [ pinned ] if pinned

        from = [ floor, ready && ready - pass.setup_min ].compact.max
        placement = fit(pass, from, waits, ready && ready - pass.setup_min >= floor ? "milestone" : "hands", @tried[pass.key])
        @tried[pass.key] = placement.hands_start
        with_window(pass, placement, from)
      end

      # What does not change while hands fill up: what it waits for, when that is reached, and before when it cannot be.
      def prepare(pass)
        waits = waits(pass)
        never = waits.find { |wait| wait.reached_at.nil? || wait.reached_at > @shop.horizon }
        raise Blocked.new("milestone", pass) if never

        [ waits, waits.map(&:reached_at).max, [ @shop.now, pass.piece.release, @ends[pass.piece.id], @holds[pass.key] ].compact.max ]
      end

      def waits(pass)
        pass.needs.filter_map do |need|
          lower = @placed[need.pass] or next
          @drier.reached(lower, need.milestone, need.pair_min)
        end
      end

      # A wait takes no hands: it runs from the end of what was before it.
      def idle(pass, ready, waits)
        start = [ @ends[pass.piece.id] || pass.piece.release || @shop.now, pass.piece.release ].compact.max
        finish = [ start, ready, pass.minutes && start + pass.minutes ].compact.max
        status = finish <= @shop.now ? "done" : (start < @shop.now ? "running" : "planned")
        Placement.new(pass: pass, hands: [], hands_start: start, work_start: start, first_end: finish, work_end: finish, hands_end: finish, waits: waits,
                      because: "milestone", status: status)
      end

      # @param tried [Integer, nil] where an earlier proposal stood: nothing before that has become free since
      def fit(pass, from, waits, because, tried = nil)
        search = [ from, tried ].compact.max
        stretches = pass.pauses ? @hands.stretches(search, pass.each_min, pass.count) : @hands.slot(search, pass.hands_min)&.then { |start| [ [ start, start + pass.hands_min ] ] }
        raise Blocked.new("hours", pass) unless stretches

        because = why_later(pass, from) if stretches.first.first > Calendar.ceil(from)
        on_clock(pass, stretches, waits, because)
      end

      def why_later(pass, from)
        open = @shop.calendar.interval_at(Calendar.ceil(from))
        open && Calendar.ceil(from) + (pass.pauses ? pass.each_min : pass.hands_min) <= open[1] ? "hands" : "hours"
      end

      def on_clock(pass, stretches, waits, because)
        start = stretches.first.first
        work_start = start + pass.setup_min
        finish = stretches.last.last
        Placement.new(pass: pass, hands: stretches, hands_start: start, work_start: work_start, first_end: work_start + pass.each_min, work_end: finish - pass.cleanup_min,
                      hands_end: finish, waits: waits, because: @holds[pass.key] ? "goal" : because, status: "planned")
      end

      # A pin wins even over a milestone, but not over the clock, the shop's hours or the step before it.
      def at_pin(pass, floor, waits)
        start = @pins[pass.key]
        unless @reserved.include?(pass.key) && start >= floor
          @lapsed |= [ pass.key ]
          return nil
        end
        on_clock(pass, [ [ start, start + pass.hands_min ] ], waits, "pin").tap { |placement| meet_window(placement) }
      end

      def with_window(pass, placement, from)
        meet_window(placement)
        return [ placement ] unless scuff_first?(placement)

        scuff, coat = scuff_then_coat(pass, placement, from)
        meet_window(coat, scuff)
        [ scuff, coat ]
      end

      # The scuff ends where the coat's hands begin; where the two do not fit one stretch of hours, it goes before.
      def scuff_then_coat(pass, placement, from)
        scuff = scuff_pass(pass)
        sand = pass.under.filter_map { |index| @placed[index] && @drier.reached(@placed[index], "sand")&.reached_at }
        length = Calendar.ceil(scuff.work_min)
        floor = [ @shop.now, @ends[pass.piece.id], pass.piece.release ].compact.max
        earliest = [ floor, *sand ].max
        both = @hands.slot([ earliest, from - length ].max, length + pass.hands_min)
        return [ on_clock(scuff, [ [ both, both + scuff.work_min ] ], [], "milestone"), on_clock(pass, [ [ both + length, both + length + pass.hands_min ] ], placement.waits, placement.because) ] if both

        first = fit(scuff, earliest, [], "milestone")
        [ first, fit(pass, [ from, first.hands_end ].max, placement.waits, placement.because) ]
      end

      def scuff_pass(pass)
        minutes = (pass.area_m2 * Reference.table("hands").dig("abrasion_min_per_m2", "scuff")).ceil
        Pass.new(key: "#{pass.key}/scuff", piece: pass.piece, step: pass.step, coat: pass.coat, faces: pass.faces, kind: "scuff", range: pass.range, each_min: [ minutes, 1 ].max,
                 setup_min: 0, cleanup_min: 0, room: pass.room, pauses: true, inserted: true, needs: [], under: [], abraded_by: {}, mates: [])
      end
    end
  end
end
