module Rhexon
  module Work
    module Kinds
      # Spots, not faces: holes, dents and touch-ups.
      class Mend < Kind
        def minutes(step, _extent) = (step["spots"] || 1) * hands.mend_min_per_spot.fetch(step["way"])
        def waits(_step, _lower, _coated_later) = [ "sand" ]

        def wet(step)
          minutes = hands.dry_after_min[step["way"]] and Wet.new(minutes, "solvent")
        end

        def words(step, _product_name)
          spots = step["spots"] || 1
          size = " of #{format("%g", step["spot_cm2"])} cm²" if step["spot_cm2"]
          "#{in_this_way(step)}, #{spots} #{spots == 1 ? "spot" : "spots"}#{size}"
        end
      end
    end
  end
end
