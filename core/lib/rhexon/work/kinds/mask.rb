module Rhexon
  module Work
    module Kinds
      # Tape and paper over what is to catch nothing.
      class Mask < Kind
        def minutes(step, _area_m2, _use) = (step["length_m"] || 1) * hands.mask_min_per_m
        def words(step, _product_name) = [ "Mask", *step["asks"] ].join(" ")
      end
    end
  end
end
