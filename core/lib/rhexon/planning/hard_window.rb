module Rhexon
  module Planning
    # A window that may not be missed: a film wet on wet, a stain to wipe off, a film to level while it is soft, or
    # one pot for several passes.
    # @!attribute kind   [String] wet_on_wet, wipe_off, while_soft or one_batch
    # @!attribute lower  [Integer] index of the pass it opens on
    # @!attribute closes [String, nil] the closing of that pass; nil for one_batch
    HardWindow = Struct.new(:kind, :lower, :closes, keyword_init: true)
  end
end
