module Rhexon
  module Work
    module Kinds
      # Joined to another piece, or laid into it: faces that are out of reach from then on.
      class Fit < Kind
        def phase(_step) = "cure"
        def minutes(_step, _extent) = hands.fit_min
        def waits(_step, _lower, _coated_later) = [ "handle" ]
        def words(step, _product_name) = [ "Fit", *step["asks"] ].join(" ")
      end
    end
  end
end
