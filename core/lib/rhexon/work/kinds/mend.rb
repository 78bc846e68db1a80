module Rhexon
  module Work
    module Kinds
      # Spots, not faces: holes, dents and touch-ups.
      class Mend < Kind
        def minutes(step, _area_m2, _use) = (step["spots"] || 1) * hands.mend_min_per_spot.fetch(step["way"])
        def waits(_step, lower, _coated_later) = lower.film? ? %w[sand] : %w[sand]

        def wet(step)
          minutes = hands.dry_after_min[step["way"]] and Wet.new(minutes, "solvent")
        end

        def words(step, _product_name)
          spots = step["spots"] || 1
          "#{ways.fetch(step["way"]).then { |way|
            way[0].upcase + way[1..]
          }}, #{spots} #{spots == 1 ? "spot" : "spots"}"
        end
      end
    end
  end
end
