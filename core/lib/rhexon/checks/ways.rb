module Rhexon
  module Checks
    # Remedies that were planned before they are offered.
    # @!attribute remedies [Array<Remedy>]
    # @!attribute untried  [Integer] ways that were left out, as planning all of them takes long
    Ways = Struct.new(:remedies, :untried, keyword_init: true)
  end
end
