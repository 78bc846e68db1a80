module Rhexon
  module Search
    # Places the passes of a hard window in one go, each closing caught: a short one by one person in one open
    # interval, who may do other work in between; of a long one each pass by whoever can.
    class HardWindowPlacement < BuildPart
      TRIES = 400
      CLOSE_TRIES = 40
      SCUFF_TRIES = 6
      # A window that is not caught within so long never is.
      LOOK_AHEAD_MIN = 120 * 1440

      # @param partial [PartialSchedule]
      # @param slots [SlotFinder] of the same build, as the others
      # @param scuffs [ScuffPlacement]
      # @param booking [ResourceBooking]
      def initialize(partial, slots, scuffs, booking)
        super(partial)
        @slots = slots
        @scuffs = scuffs
        @booking = booking
        @before = BlockScuffs.new(partial, scuffs)
      end

      # Places all passes of a block.
      # @param block [Blocks::Block]
      # @raise [Blocked]
      def place(block)
        spots = caught(block)
        spots = after_scuffs(block, spots) unless @relaxed
        members(block).zip(spots) { |index, spot| @booking.settle(index, spot) }
      end

      # Places them where they were, if each of them can still be there.
      # @param block [Blocks::Block]
      # @param kept [Kept]
      # @return [Boolean] whether they were placed
      def stay(block, kept)
        who = kept.person(block.first)
        # Others may be away in between: who watches it is chosen anew.
        return false if block.watched && who.nil?

        spots, = line_up(block.watched ? who : nil, block, @slots.free_from(block.first))
        unless spots && members(block).zip(spots).all? { |index, spot| spot.who.nil? || kept.there?(index, spot) }
          @partial.forget(members(block))
          return false
        end

        spots = after_scuffs(block, spots)
        members(block).zip(spots) { |index, spot| @booking.settle(index, spot) }
        true
      end

      private

      def members(block) = block.first..block.last

      # @return [Array<CandidateSlot>]
      # @raise [Blocked] also when a build before did not catch it in all the days that are looked at
      def caught(block)
        raise Blocked.new(:hard_window, block.last) if @model.out_of_reach[block.first]

        spots = block.watched ? by_one(block) : caught_by(nil, block)
        return spots if spots

        unless @relaxed || members(block).any? { |index| @reserved.key?(index) }
          @model.out_of_reach[block.first] = true
        end
        raise Blocked.new(:hard_window, block.last)
      end

      def by_one(block)
        working = members(block).reject { |index| @model.kind[index] == :wait }
        crew = working.map { |index|
          @reserved.key?(index) ? [ @reserved[index].who ] : @crews.crew[index]
        }.reduce(:&)
        crew.filter_map { |person| caught_by(person, block) }.min_by do |spots|
          [ spots.last.start, spots.last.who == @holds.person(block.first) ? -1 : spots.last.who || 0 ]
        end
      end

      # Films under the block whose own windows were lost are scuffed before it begins, and not so long before that
      # the scuff grows old.
      # @return [Array<CandidateSlot>]
      def after_scuffs(block, spots)
        piece = @model.piece_of[block.first]
        free = @partial.ends[piece]
        lost = to_scuff(block, spots)
        return spots if lost.empty?

        SCUFF_TRIES.times do
          scuffs = @before.scuffs(block, lost, spots, free)
          @partial.ends[piece] = scuffs.last[1] + @scuffs.gap(block.first)
          spots = caught(block)
          more = to_scuff(block, spots) - lost
          if more.empty? && still_fresh?(block, lost, scuffs, spots)
            lost.zip(scuffs) { |index, scuff| @booking.put_scuff(index, [ *scuff, @model.passes[index].faces ]) }
            return spots
          end
          lost = (lost + more).sort
          @partial.ends[piece] = free
        end
        raise Blocked.new(:search, block.first)
      end

      # Passes of the block, where they stand, that a scuff has to go before.
      def to_scuff(block, spots)
        members(block).zip(spots).select { |index, spot| to_scuff?(block, index, spot) }.map(&:first)
      end

      # Each scuff at its own coat.
      def still_fresh?(block, lost, scuffs, spots)
        lost.zip(scuffs).all? do |index, scuff|
          spots[index - block.first].start + @times.setup[index] <= scuff[1] + @model.house(index, "scuff_valid_min")
        end
      end

      def to_scuff?(block, index, spot)
        @times.scuff_min[index].positive? && @drying.unders[index].any? { |under| under.lower < block.first } &&
          @scuffs.scuff_first?(index, spot.start + @times.setup[index])
      end

      # @param person [Integer, nil] nil: whoever can, pass by pass
      # @return [Array<CandidateSlot>, nil]
      def caught_by(person, block)
        from = @slots.free_from(block.first)
        (@relaxed ? TRIES * 10 : TRIES).times do |attempt|
          spots, later = line_up(person, block, from)
          return spots if spots
          return if later.nil? || later > @now + LOOK_AHEAD_MIN

          # What was missed again and again in one stretch of hours is tried in the next.
          from = !@relaxed && attempt >= CLOSE_TRIES ? [ later, next_opening(person, from) ].compact.max : later
        end
        nil
      end

      def next_opening(person, minute)
        (person ? [ @model.hours[person] ] : @model.hours).filter_map { |hours| hours.opening_after(minute) }.min
      end

      # The passes one behind the other from a minute on. What they lay lies on the rack for those behind them, until
      # the try is over.
      # @return [Array] spots, or nil and a later minute to try from
      def line_up(person, block, from)
        racks = racks_of(block)
        kept = racks.map(&:kept)
        begin
          lined_up(person, block, from, racks.any?)
        ensure
          racks.zip(kept) { |rack, before| rack.restore(before) }
        end
      end

      # Racks on which several passes of the block leave wet work.
      def racks_of(block)
        return [] if @relaxed || !@places.racked?

        wet = members(block).select { |index| @places.wet[index] }
        wet.size > 1 ? wet.filter_map { |index| @partial.rooms[@places.dry_room[index]].rack }.uniq(&:object_id) : []
      end

      def lay_on_rack(block, index)
        here = @partial.rooms[@places.dry_room[index]].rack
        mine = @model.passes[index].range.to_a
        (block.first...index).each do |lower|
          (taken = (@model.passes[lower].range.to_a & mine).size).positive? &&
            @partial.rooms[@places.dry_room[lower]].rack&.take([ :try, lower ], @partial.start[index], taken)
        end
        return unless here && @places.wet[index]

        here.put(@partial.work_start[index], handled_at(index), @times.count[index], [ :try, index ])
      end

      def handled_at(index)
        done = @partial.work_end[index]
        @drying.handle[index]&.at(done, @partial.early[index]) || done
      end

      # @param racked [Boolean] several of them lie on one rack
      def lined_up(person, block, from, racked)
        shut = nil
        ends = @partial.ends[@model.piece_of[block.first]]
        spots = (block.first..block.last).map do |index|
          spot = member_spot(index, person, from, ends) or return [ nil, nil ]
          finish = @booking.pencil_in(index, spot)
          lay_on_rack(block, index) if racked
          if person
            shut ||= @model.hours[person].shut_after(spot.start)
            return [ nil, shut ] if shut.nil? || finish > shut
          end

          missed = [ missed_by(index, block), kept_waiting(index, block, from) ].max
          return [ nil, @partial.start[block.first] + next_try(missed) ] if missed.positive?

          ends = from = finish
          spot
        end
        [ spots, nil ]
      end

      # A later start may do with less than what was missed; for the bound none may be left out.
      def next_try(missed)
        return Planning::Lane::GRID if @relaxed

        [ Planning::Calendar.ceil(missed / 2), Planning::Lane::GRID ].max
      end

      # A pin of the block holds, or lapses where the piece is not free yet; a film that is not ready does not move
      # it.
      def member_spot(index, person, from, ends)
        ready = @slots.ready(index)
        next_day = @slots.next_day(index) if @model.passes[index].after_day
        begun = [ from, ends, ready && ready - @times.setup[index], next_day, @holds.inside(index) ].compact.max
        return @slots.idle(index, ready, ends) if @model.kind[index] == :wait
        return @slots.pinned(index, [ @slots.free_from(index), ends ].max) if @reserved.key?(index)

        person ? own_spot(index, person, begun) : @slots.first_fit(index, begun, :milestone)
      end

      def own_spot(index, person, from)
        SlotFinder::TURNS.times do
          start = @partial.lanes[person].slot(from, @times.hands[index]) or return
          later, _, tool = @slots.clear_from(index, start, start + @times.hands[index])
          return CandidateSlot.new(start, person, nil, nil, :milestone, tool) if later == start

          from = later
        end
        nil
      end

      # Minutes by which a hard window is missed.
      def missed_by(index, block)
        hard = @model.passes[index].hard
        return 0 if hard.nil? || hard.lower < block.first

        return late_by(@partial.work_end[index], pot_empty(hard.lower)) if hard.kind == "one_batch"

        closing = hard.closes && @model.drier.closing(@model.passes[hard.lower], hard.closes) or return 0
        unless hard.kind == "wipe_off"
          return late_by(@partial.work_start[index], closing.at(@partial.first_end[hard.lower]))
        end

        # Each place is wiped in its turn: the first from where laying began, the last from where it ended.
        [
          late_by(@partial.work_start[index], closing.at(@partial.work_start[hard.lower])),
          late_by(@partial.work_end[index], closing.at(@partial.work_end[hard.lower]))
        ].max
      end

      # In a sitting each follows as soon as it may.
      # @param free [Integer] minute from which its hands are free
      def kept_waiting(index, block, free)
        return 0 if @model.passes[index].sitting.nil? || index == block.first

        late_by(@partial.start[index], Planning::Calendar.ceil([ free, @slots.ready(index) ].compact.max))
      end

      def late_by(minute, closes) = closes && minute > closes ? minute - closes : 0

      def pot_empty(lower)
        pass = @model.passes[lower]
        Mixing::PotLife.usable_until(pass.product, @model.shop.line(pass.room), @partial.start[lower],
                                     hardener_parts: Mixing::ProductMix.hardener_parts(pass.product, pass.step))
      end
    end
  end
end
