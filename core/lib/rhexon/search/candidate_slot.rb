module Rhexon
  module Search
    # Where one pass would go.
    # @!attribute start     [Integer]
    # @!attribute who       [Integer, nil] person
    # @!attribute stretches [Array, nil] where it pauses
    # @!attribute scuff     [Array, nil] start, end, person and faces of the scuff before it
    # @!attribute why       [Symbol] what fixed the start
    # @!attribute tool      [Integer, nil]
    # @!attribute asked     [Integer, nil] minute from which it could have begun
    CandidateSlot = Struct.new(:start, :who, :stretches, :scuff, :why, :tool, :asked)
  end
end
