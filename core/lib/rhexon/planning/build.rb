module Rhexon
  module Planning
    # One finished construction of a plan: every pass placed, and what it is worth.
    # @!attribute placements [Array<Placement>] in order of start, inserted scuffs included
    # @!attribute by_index   [Array<Placement>] pass index => placement
    # @!attribute ready      [Hash{String=>Integer}] piece id => minute it is ready
    # @!attribute lapsed     [Array<String>] keys of pins that could not be kept
    # @!attribute blocked    [Hash, nil] what made it infeasible: {constraint:, passes:}
    Build = Struct.new(:placements, :by_index, :ready, :lapsed, :blocked, :goal, keyword_init: true) do
      # Compared in order: unmet hard rules, minutes late over the pieces, latest ready, scuffs, sum of ready.
      def better_than?(other) = other.nil? || (goal <=> other.goal).negative?
    end
  end
end
