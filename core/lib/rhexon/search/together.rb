module Rhexon
  module Search
    # Places the passes of a hard window in one go: one person, one open interval, each closing caught; that person may do other work in between.
    # Reads +@m+, +@t+ and +@holds+ of the build it is part of.
    module Together
      TRIES = 400
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
      def caught(block)
        crew = members(block).reject { |index| @m.kind[index] == :wait }.map { |index| @m.crew[index] }.reduce(:&)
        crew.filter_map { |person| caught_by(person, block) }.min_by { |spots| [ spots.last.start, spots.last.who || 0 ] } or raise Construct::Blocked.new(:hard_window, block.last)
      end

      # Films under the block whose own windows were lost are scuffed before it begins, and not so long before that the scuff grows old.
      # @return [Array<Spot>]
      def after_scuffs(block, spots)
        piece = @m.piece_of[block.first]
        free = @t.ends[piece]
        SCUFF_TRIES.times do |attempt|
          lost = members(block).zip(spots).select { |index, spot| to_scuff?(block, index, spot) }.map(&:first)
          return spots if lost.empty?

          scuffs = scuffs_before(block, lost, spots, free)
          @t.ends[piece] = scuffs.last[1] + gap(block.first)
          spots = caught(block)
          if attempt == SCUFF_TRIES - 1 || spots.last.start + @m.setup[block.last] <= scuffs.first[1] + @m.house(block.first, "scuff_valid_min")
            lost.zip(scuffs) { |index, scuff| put_scuff(index, scuff) }
            return spots
          end
          @t.ends[piece] = free
        end
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
        found = later if later[1] <= before || found[0] + @m.scuff_min[lost.first] + @m.house(block.first, "scuff_valid_min") < spots.last.start + @m.setup[block.last]
        cursor = found[0]
        lost.zip(lengths).map { |index, length| [ cursor, cursor + @m.scuff_min[index], found[2] ].tap { cursor += length } }
      end

      def dry_to_sand(index, block) = @m.unders[index].filter_map { |under| under.sand && under.lower < block.first && open_at_or_logged(under) }

      # @return [Array<Spot>, nil]
      def caught_by(person, block)
        from = floor(block.first)
        TRIES.times do
          spots, later = line_up(person, block, from)
          return spots if spots
          return if later.nil? || later > @now + LOOK_AHEAD_MIN

          from = later
        end
        nil
      end

      # The passes one behind the other from a minute on.
      # @return [Array] spots, or nil and a later minute to try from
      def line_up(person, block, from)
        shut = nil
        ends = @t.ends[@m.piece_of[block.first]]
        spots = (block.first..block.last).map do |index|
          ready = ready(index)
          begun = [ from, ends, ready && ready - @m.setup[index] ].compact.max
          spot = @m.kind[index] == :wait ? idle(index, ready) : own_spot(index, person, begun) or return [ nil, nil ]
          finish = pencil_in(index, spot)
          shut ||= @m.hours[person].shut_after(spot.start)
          return [ nil, shut ] if finish > shut

          missed = missed_by(index, block)
          first = @t.start[block.first]
          # A later start may do with less than what was missed; for the bound none may be left out.
          return [ nil, first + (@relaxed ? Lane::GRID : [ ceil(missed / 2), Lane::GRID ].max) ] if missed.positive?

          ends = from = finish
          spot
        end
        [ spots, nil ]
      end

      def own_spot(index, person, from)
        while true
          start = @t.lanes[person].slot(from, @m.hands[index]) or return
          later, _, tool = clear_from(index, start, start + @m.hands[index])
          return Spot.new(start, person, nil, nil, :milestone, tool) if later == start

          from = later
        end
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

        over = @t.work_start[index]
        closes = hard.closes ? @m.drier.closing(@m.passes[hard.lower], hard.closes)&.at(@t.first_end[hard.lower]) : nil
        closes, over = pot_empty(hard.lower), @t.work_end[index] if hard.kind == "one_batch"
        closes && over > closes ? over - closes : 0
      end

      def pot_empty(lower)
        pass = @m.passes[lower]
        Mixing::PotLife.usable_until(pass.product, @m.shop.line(pass.room), @t.start[lower], hardener_parts: Mixing::ProductMix.hardener_parts(pass.product, pass.step))
      end
    end
  end
end
