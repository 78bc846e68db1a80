module Rhexon
  module Search
    # A pass has no place in a build.
    class Blocked < StandardError
      # @!attribute constraint [Symbol] milestone, hours, hard_window, rack or search
      # @!attribute index      [Integer] of the pass
      attr_reader :constraint, :index

      def initialize(constraint, index)
        @constraint = constraint
        @index = index
        super(constraint.to_s)
      end
    end
  end
end
