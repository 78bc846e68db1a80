module Rhexon
  module Work
    module Kinds
      # A key for the next coat that the plan puts in where a window was missed.
      class Scuff < AbrasiveWork
        def pauses? = false
        def phase(_step) = "level"
        def light?(_step) = true

        def words(step, _product_name) = "Scuff #{step["scuff_with"] || "P320"}"
        def rubbing(step) = [ Prep::Abrasive.near(step["scuff_with"] || "P320") ]

        private

        def purpose(_step) = "inserted"
      end
    end
  end
end
