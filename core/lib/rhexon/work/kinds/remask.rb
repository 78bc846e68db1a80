module Rhexon
  module Work
    module Kinds
      # Tape on again for the next coat, where it came off with the last: right before that coat, not days ahead.
      class Remask < Mask
        def phase(_step) = "build"
        def waits(_step, lower, _coated_later) = [ lower.film? ? "recoat_opens" : "sand" ]
        def words(step, _product_name) = [ "Tape on again", *step["asks"] ].join(" ")
      end
    end
  end
end
