module Rhexon
  module Work
    module Kinds
      # A question to answer before going on.
      class Look < Kind
        def phase(_step) = "look"
        def idle? = true
        def minutes(_step, _extent) = hands.look_min
        def waits(step, _lower, _coated_later) = [ step["milestone"] || "dust_safe" ]
        def words(step, _product_name) = step["asks"] ? "Look: #{step["asks"]}" : "Look"
      end
    end
  end
end
