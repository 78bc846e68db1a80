module Rhexon
  module Search
    # Places the passes of a hard window in one go, each closing caught: a short one by one person in one open interval, who may do other work in between;
    # of a long one each pass by whoever can.
    # Reads +@m+, +@t+ and +@holds+ of the build it is part of.
    module Together
      TRIES = 400
      CLOSE_TRIES = 40
      SCUFF_TRIES = 6
      # A window that is not caught within so long never is.
      LOOK_AHEAD_MIN = 120 * 1440

      private

      # @param block [Blocks::Block]
      def together(block)
        spots = caught(block)
        spots = after_scuffs(block, spots) unless @relaxed
        members(block).zip(spots) { |index, spot| settle(index, spot) }
      end

      def members(block) = block.first..block.last

      # @return [Array<Spot>]
      # @raise [Construct::Blocked] also when a build before did not catch it in all the days that are looked at
      def caught(block)
        raise Construct::Blocked.new(:hard_window, block.last) if @m.out_of_reach[block.first]

        spots = block.watched ? by_one(block) : caught_by(nil, block)
        return spots if spots

        @m.out_of_reach[block.first] = true unless @relaxed || members(block).any? { |index| @reserved.key?(index) }
        raise Construct::Blocked.new(:hard_window, block.last)
      end

      def by_one(block)
        working = members(block).reject { |index| @m.kind[index] == :wait }
        crew = working.map { |index| @reserved.key?(index) ? [ @reserved[index].who ] : @m.crew[index] }.reduce(:&)
        crew.filter_map { |person| caught_by(person, block) }.min_by { |spots| [ spots.last.start, spots.last.who || 0 ] }
      end

      # Films under the block whose own windows were lost are scuffed before it begins, and not so long before that the scuff grows old.
      # @return [Array<Spot>]
      def after_scuffs(block, spots)
        piece = @m.piece_of[block.first]
        free = @t.ends[piece]
        SCUFF_TRIES.times do
          lost = members(block).zip(spots).select { |index, spot| to_scuff?(block, index, spot) }.map(&:first)
          return spots if lost.empty?

          scuffs = scuffs_before(block, lost, spots, free)
          @t.ends[piece] = scuffs.last[1] + gap(block.first)
          spots = caught(block)
          if still_fresh?(block, lost, scuffs, spots)
            lost.zip(scuffs) { |index, scuff| put_scuff(index, [ *scuff, @m.passes[index].faces ]) }
            return spots
          end
          @t.ends[piece] = free
        end
        raise Construct::Blocked.new(:search, block.first)
      end

      # Each scuff at its own coat.
      def still_fresh?(block, lost, scuffs, spots)
        lost.zip(scuffs).all? { |index, scuff| spots[index - block.first].start + @m.setup[index] <= scuff[1] + @m.house(index, "scuff_valid_min") }
      end

      def to_scuff?(block, index, spot) = @m.scuff_min[index].positive? && @m.unders[index].any? { |under| under.lower < block.first } && scuff_first?(index, spot.start + @m.setup[index])

      # All of them in one go, as near to the block as hands allow.
      # @return [Array<Array(Integer, Integer, Integer)>] start, end and person, in the order of the passes
      def scuffs_before(block, lost, spots, free)
        lengths = lost.map { |index| ceil(@m.scuff_min[index]) }
        minutes = lengths.sum
        earliest = [ @now, free, *lost.flat_map { |index| dry_to_sand(index, block) } ].max
        before = spots.first.start - @m.settles[block.first]
        found = scuff_from(lost.first, earliest, minutes, minutes)
        later = scuff_from(lost.first, [ before - minutes, earliest ].max, minutes, minutes)
        found = later if later[1] <= before || found[0] + @m.scuff_min[lost.first] + @m.house(block.first, "scuff_valid_min") < spots[lost.last - block.first].start + @m.setup[lost.last]
        cursor = found[0]
        lost.zip(lengths).map { |index, length| [ cursor, cursor + @m.scuff_min[index], found[2] ].tap { cursor += length } }
      end

      def dry_to_sand(index, block) = @m.unders[index].filter_map { |under| under.sand && under.lower < block.first && open_at_or_logged(under) }

      # @param person [Integer, nil] nil: whoever can, pass by pass
      # @return [Array<Spot>, nil]
      def caught_by(person, block)
        from = floor(block.first)
        (@relaxed ? TRIES * 10 : TRIES).times do |attempt|
          spots, later = line_up(person, block, from)
          return spots if spots
          return if later.nil? || later > @now + LOOK_AHEAD_MIN

          # What was missed again and again in one stretch of hours is tried in the next.
          from = !@relaxed && attempt >= CLOSE_TRIES ? [ later, next_opening(person, from) ].compact.max : later
        end
        nil
      end

      def next_opening(person, minute) = (person ? [ @m.hours[person] ] : @m.hours).filter_map { |hours| hours.opening_after(minute) }.min

      # The passes one behind the other from a minute on. What they lay lies on the rack for those behind them, until the try is over.
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
        return [] if @relaxed || !@m.racked?

        wet = members(block).select { |index| @m.wet[index] }
        wet.size > 1 ? wet.filter_map { |index| @t.floors[@m.dry_room[index]].rack }.uniq(&:object_id) : []
      end

      def lay_on_rack(block, index)
        here = @t.floors[@m.dry_room[index]].rack
        mine = @m.passes[index].range.to_a
        (block.first...index).each { |lower| (taken = (@m.passes[lower].range.to_a & mine).size).positive? && @t.floors[@m.dry_room[lower]].rack&.take([ :try, lower ], @t.start[index], taken) }
        here.put(@t.work_start[index], @m.handle[index]&.at(@t.work_end[index], @t.early[index]) || @t.work_end[index], @m.count[index], [ :try, index ]) if here && @m.wet[index]
      end

      # @param racked [Boolean] several of them lie on one rack
      def lined_up(person, block, from, racked)
        shut = nil
        ends = @t.ends[@m.piece_of[block.first]]
        spots = (block.first..block.last).map do |index|
          ready = ready(index)
          begun = [ from, ends, ready && ready - @m.setup[index], (next_day(index) if @m.passes[index].after_day) ].compact.max
          spot = member_spot(index, ready, person, begun, ends) or return [ nil, nil ]
          finish = pencil_in(index, spot)
          lay_on_rack(block, index) if racked
          if person
            shut ||= @m.hours[person].shut_after(spot.start)
            return [ nil, shut ] if shut.nil? || finish > shut
          end

          missed = missed_by(index, block)
          first = @t.start[block.first]
          # A later start may do with less than what was missed; for the bound none may be left out.
          return [ nil, first + (@relaxed ? Lane::GRID : [ ceil(missed / 2), Lane::GRID ].max) ] if missed.positive?

          ends = from = finish
          spot
        end
        [ spots, nil ]
      end

      # A pin of the block holds, or lapses where the piece is not free yet; a film that is not ready does not move it.
      def member_spot(index, ready, person, begun, ends)
        return idle(index, ready) if @m.kind[index] == :wait
        return pinned(index, [ floor(index), ends ].max) if @reserved.key?(index)

        person ? own_spot(index, person, begun) : first_fit(index, begun, :milestone)
      end

      def own_spot(index, person, from)
        Placing::TURNS.times do
          start = @t.lanes[person].slot(from, @m.hands[index]) or return
          later, _, tool = clear_from(index, start, start + @m.hands[index])
          return Spot.new(start, person, nil, nil, :milestone, tool) if later == start

          from = later
        end
        nil
      end

      # What the next one of the block needs to know; nothing is taken yet.
      def pencil_in(index, spot)
        finish = spot.stretches ? spot.stretches[-1][1] : spot.start + @m.hands[index]
        work = spot.start + @m.setup[index]
        @t.start[index] = spot.start
        @t.work_start[index] = work
        @t.first_end[index] = work + @m.each_min[index]
        @t.work_end[index] = finish - @m.cleanup[index]
        @t.hands_end[index] = finish
        @t.early[index] = early(index, work)
        finish
      end

      # Minutes by which a hard window is missed.
      def missed_by(index, block)
        hard = @m.passes[index].hard
        return 0 if hard.nil? || hard.lower < block.first

        return late_by(@t.work_end[index], pot_empty(hard.lower)) if hard.kind == "one_batch"

        closing = hard.closes && @m.drier.closing(@m.passes[hard.lower], hard.closes) or return 0
        return late_by(@t.work_start[index], closing.at(@t.first_end[hard.lower])) unless hard.kind == "wipe_off"

        # Each place is wiped in its turn: the first from where laying began, the last from where it ended.
        [ late_by(@t.work_start[index], closing.at(@t.work_start[hard.lower])), late_by(@t.work_end[index], closing.at(@t.work_end[hard.lower])) ].max
      end

      def late_by(minute, closes) = closes && minute > closes ? minute - closes : 0

      def pot_empty(lower)
        pass = @m.passes[lower]
        Mixing::PotLife.usable_until(pass.product, @m.shop.line(pass.room), @t.start[lower], hardener_parts: Mixing::ProductMix.hardener_parts(pass.product, pass.step))
      end
    end
  end
end
