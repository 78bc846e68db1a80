module Rhexon
  module Work
    module Kinds
      # Tape on again for the next coat, where it came off with the last: right before that coat, not days ahead.
      class Remask < Kind
        def phase(_step) = "build"
        def minutes(step, _extent) = (step["length_m"] || 1) * hands.mask_min_per_m
        def setup_min(_step) = hands.session_min["mask"]
        def waits(_step, lower, _coated_later) = [ lower.film? ? "recoat_opens" : "sand" ]
        def words(step, _product_name) = [ "Tape on again", *step["asks"] ].join(" ")
      end
    end
  end
end
