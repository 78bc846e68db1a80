module Rhexon
  module Planning
    # A milestone of an earlier pass that must be reached.
    # @!attribute pair [Materials::Figure, nil] the pair's own wait
    Precedence = Struct.new(:pass, :milestone, :pair, keyword_init: true)
  end
end
