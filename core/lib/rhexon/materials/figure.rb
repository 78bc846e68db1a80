module Rhexon
  module Materials
    # A number with where it comes from.
    # @!attribute value    [Numeric, nil] in the unit its name states; nil means "no such limit"
    # @!attribute source   [String] a sheet and its date, or why it is an estimate
    # @!attribute estimate [Boolean]
    Figure = Struct.new(:value, :source, :estimate, keyword_init: true) do
      def initialize(**) = super.freeze
    end
  end
end
