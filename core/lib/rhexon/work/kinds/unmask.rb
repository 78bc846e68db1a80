module Rhexon
  module Work
    module Kinds
      # Tape off between touch and four times that, or it tears the film: then it is scored first.
      class Unmask < Kind
        def phase(_step) = "build"
        def minutes(step, _extent) = (step["length_m"] || 1) * hands.unmask_min_per_m
        def waits(_step, lower, _coated_later) = [ lower.film? ? "touch" : "sand" ]
        def words(step, _product_name) = [ "Take the tape off", *step["asks"] ].join(" ")
      end
    end
  end
end
