module Rhexon
  module Work
    module Kinds
      # A reading before going on: moisture, film, what softens an old finish.
      class Measure < Kind
        def minutes(step, _extent) = hands.measure_min + (step["readings"] || 3) * hands.reading_min
        # What is read of the wood, or of a paint that may hold lead, waits for nothing.
        def waits(step, lower, _coated_later)
          return [] if %w[moisture lead air].include?(step["way"])

          super
        end

        def words(step, _product_name) = "Measure #{ways.fetch(step["way"])}"
      end
    end
  end
end
