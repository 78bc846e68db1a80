module Rhexon
  module Work
    module Kinds
      # A spot test of what the finish stands up to, once it is cured.
      class Test < Kind
        def phase(_step) = "cure"
        def tells? = true
        def minutes(_step, _extent) = hands.look_min + hands.reading_min
        def waits(step, _lower, _coated_later) = [ step["milestone"] || "full_cure" ]
        def words(step, _product_name) = "Test with #{ways.fetch(step["way"])}"
      end
    end
  end
end
