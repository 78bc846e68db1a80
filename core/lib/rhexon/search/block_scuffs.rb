module Rhexon
  module Search
    # Scuffs before a block whose films below have lost their windows: one behind the other, as near to the block as
    # hands allow.
    class BlockScuffs < BuildPart
      # @param partial [PartialSchedule]
      # @param scuffs [ScuffPlacement] of the same build
      def initialize(partial, scuffs)
        super(partial)
        @scuffs = scuffs
      end

      # @param block [Blocks::Block]
      # @param lost [Array<Integer>] passes of it that are scuffed for
      # @param spots [Array<CandidateSlot>] of all its passes, without scuffs
      # @param free [Integer] minute from which its piece is free
      # @return [Array<Array(Integer, Integer, Integer)>] start, end and person, in the order of the passes
      # @raise [Blocked]
      def scuffs(block, lost, spots, free)
        lengths = lost.map { |index| Planning::Calendar.ceil(@times.scuff_min[index]) }
        earliest = [ @now, free, *lost.flat_map { |index| dry_to_sand(index, block) } ].max
        scuff = kept(lost.first, earliest, lengths.sum) || near(block, lost, spots, earliest, lengths.sum)
        one_by_one(lost, lengths, scuff)
      end

      private

      # @return [Array(Integer, Integer, Integer), nil] where it was to be done, if it still can be
      def kept(index, earliest, minutes)
        from = @holds.scuff_from(index)
        scuff = @scuffs.scuff_from(index, from, minutes, minutes) if from && from >= earliest
        scuff if scuff && scuff[0] == from
      end

      # Right before the block; earlier where that is too late for it, and the scuff is still fresh.
      def near(block, lost, spots, earliest, minutes)
        before = spots.first.start - @times.settles[block.first]
        scuff = @scuffs.scuff_from(lost.first, earliest, minutes, minutes)
        later = @scuffs.scuff_from(lost.first, [ before - minutes, earliest ].max, minutes, minutes)
        later[1] <= before || stale?(block, lost, spots, scuff) ? later : scuff
      end

      def stale?(block, lost, spots, scuff)
        fresh_until = scuff[0] + @times.scuff_min[lost.first] + @model.house(block.first, "scuff_valid_min")
        fresh_until < spots[lost.last - block.first].start + @times.setup[lost.last]
      end

      def one_by_one(lost, lengths, scuff)
        cursor = scuff[0]
        lost.zip(lengths).map do |index, length|
          [ cursor, cursor + @times.scuff_min[index], scuff[2] ].tap { cursor += length }
        end
      end

      def dry_to_sand(index, block)
        @drying.unders[index].filter_map do |under|
          under.sand && under.lower < block.first && @scuffs.open_at_or_logged(under)
        end
      end
    end
  end
end
