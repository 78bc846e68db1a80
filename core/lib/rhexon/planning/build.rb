module Rhexon
  module Planning
    # One finished construction of a plan: every pass placed, and what it is worth.
    # @!attribute placements [Array<Placement>] in order of start, inserted scuffs included
    # @!attribute by_index   [Array<Placement>] pass index => placement
    # @!attribute ready      [Hash{String=>Integer}] piece id => minute it is ready
    # @!attribute lapsed     [Array<String>] keys of pins that could not be kept
    # @!attribute blocked    [Hash{String=>Block}] by piece that cannot be placed whole
    # @!attribute goal       [Array<Numeric>] of Search::Goal
    # @!attribute late_min   [Integer] summed over the jobs
    Build = Struct.new(:placements, :by_index, :ready, :lapsed, :blocked, :goal, :late_min, keyword_init: true) do
      # @return [Array<Placement>] scuffs that were put in
      def scuffs = placements.select { |placement| placement.pass.kind == "scuff" }

      # @param coat [String] key
      # @return [Array<Placement>] scuffs before it, in order of start
      def scuffs_before(coat)
        (@served ||= scuffs.group_by { |placement| Scuff.served(placement.pass) }).fetch(coat, [])
      end
    end
  end
end
