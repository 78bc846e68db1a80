module Rhexon
  module Work
    module Kinds
      # Tape and paper over what is to catch nothing.
      class Mask < Kind
        def minutes(step, _extent) = (step["length_m"] || 1) * hands.mask_min_per_m
        def setup_min(_step) = hands.session_min["mask"]
        def words(step, _product_name) = [ "Mask", *step["asks"] ].join(" ")
      end
    end
  end
end
