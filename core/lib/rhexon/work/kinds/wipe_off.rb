module Rhexon
  module Work
    module Kinds
      # What was flooded on comes off again before it is tacky.
      class WipeOff < Kind
        def phase(_step) = "colour"
      end
    end
  end
end
