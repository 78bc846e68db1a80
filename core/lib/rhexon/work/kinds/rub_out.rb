module Rhexon
  module Work
    module Kinds
      # The last film to its sheen, rung by rung.
      class RubOut < AbrasiveWork
        def phase(_step) = "rub_out"
        def minutes(step, area_m2) = area_m2 * hands.abrasion_min_per_m2.fetch("rub_out") * step["grits"].size
        def waits(_step, lower, _coated_later) = lower.film? ? [ "rub_out" ] : [ "sand" ]

        # An oil that is rubbed with stays on the film until it is wiped off.
        def effect(surface, placement)
          effect = super
          return effect unless placement.pass.step["lubricant"] == "oil"

          Effect.new(effect.surface.with(residue: "oil"), effect.asked_um)
        end

        def words(step, _product_name) = "Rub out #{rungs(step).map(&:words).join(", ")}"

        private

        def purpose(_step) = "rub_out"
      end
    end
  end
end
