module Rhexon
  module Materials
    # How a material is laid on, in words.
    module Methods
      DONE = {
        "spray" => "sprayed", "brush" => "brushed", "roller" => "rolled", "wipe" => "wiped", "pad" => "padded"
      }.freeze
    end
  end
end
