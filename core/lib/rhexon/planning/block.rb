module Rhexon
  module Planning
    # What stops a piece: milestone, hours, rack, hard_window or search, and the key of the pass that cannot be placed.
    Block = Struct.new(:constraint, :pass)
  end
end
