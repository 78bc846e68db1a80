module Rhexon
  module Work
    module Kinds
      # Spots, not faces: holes, dents and touch-ups. What they are mended with dries by its own sheet, where it is
      # named.
      class Mend < Kind
        DEEP = { "colour" => "down to the colour", "wood" => "down to the wood, the bare place sealed first" }.freeze
        private_constant :DEEP

        def minutes(step, _extent) = (step["spots"] || 1) * hands.mend_min_per_spot.fetch(step["way"])

        # One layer of a patch upon the other, else once it can be sanded.
        def waits(_step, lower, _coated_later) = [ lower.kind == id ? "recoat_opens" : "sand" ]

        def dries_by_sheet?(step) = !step["product"].nil? && hands.dry_after_min.key?(step["way"])

        def wet(step)
          minutes = hands.dry_after_min[step["way"]] unless dries_by_sheet?(step)
          minutes && Wet.new(minutes, "solvent")
        end

        def words(step, _product_name)
          spots = step["spots"] || 1
          size = " of #{format("%g", step["spot_cm2"])} cm²" if step["spot_cm2"]
          [ in_this_way(step), DEEP[step["deep"]],
            "#{spots} #{spots == 1 ? "spot" : "spots"}#{size}" ].compact.join(", ")
        end
      end
    end
  end
end
