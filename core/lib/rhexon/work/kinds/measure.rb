module Rhexon
  module Work
    module Kinds
      # A reading before going on: moisture, film, what softens an old finish.
      class Measure < Kind
        def minutes(step, _area_m2, _use) = hands.measure_min + (step["readings"] || 3) * hands.reading_min
        def waits(step, lower, _coated_later)
          if %w[moisture lead].include?(step["way"])
            []
          else
            [ lower.film? ? "handle" : "sand" ]
          end
        end
        def words(step, _product_name) = "Measure #{ways.fetch(step["way"])}"
      end
    end
  end
end
