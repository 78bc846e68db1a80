module Rhexon
  module Search
    # Minutes of the passes, by index.
    class PassTimes
      # @!attribute setup, work, hands, each_min, cleanup [Array<Integer>]
      # @!attribute count     [Array<Integer>] alike pieces
      # @!attribute settles   [Array<Integer>] until dust has settled, by the house of the piece
      # @!attribute pauses    [Array<Boolean>] whether it may pause at closing
      # @!attribute scuff_min [Array<Integer>] to scuff all faces of all pieces; 0: no film
      attr_reader :setup, :work, :hands, :each_min, :count, :cleanup, :settles, :pauses, :scuff_min

      # @param passes [Array<Planning::Pass>]
      def initialize(passes)
        @passes = passes
        @setup = passes.map(&:setup_min)
        @work = passes.map(&:work_min)
        @hands = passes.map(&:hands_min)
        @each_min = passes.map(&:each_min)
        @count = passes.map(&:count)
        @cleanup = passes.map(&:cleanup_min)
        @settles = passes.map { |pass| pass.piece.house.fetch("dust_settles_min") }
        @pauses = passes.map(&:pauses)
        @scuff_min = passes.map { |pass| pass.film? ? Planning::Scuff.each_min(pass) * pass.count : 0 }
        @scuffs = {}
      end

      # @return [Integer] minutes to scuff some faces of all pieces of a pass
      def scuff_of(index, faces)
        @scuffs[[ index, faces ]] ||= Planning::Scuff.each_min(@passes[index], faces) * @count[index]
      end
    end
  end
end
