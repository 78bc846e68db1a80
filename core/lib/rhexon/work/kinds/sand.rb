module Rhexon
  module Work
    module Kinds
      class Sand < AbrasiveWork
        def minutes(step, extent) = Hours.abrading("sand", step, extent, step["grits"].size)
        def waits(_step, lower, coated_later) = abrasion_waits(lower, coated_later)
        def words(step, _product_name) = "Sand #{rungs(step).map(&:words).join(", ")}"
      end
    end
  end
end
