module Rhexon
  module Work
    module Kinds
      # The last film to its sheen, rung by rung.
      class RubOut < AbrasiveWork
        def phase(_step) = "rub_out"
        def minutes(step, extent) = Hours.abrading("rub_out", step, extent, step["grits"].size)
        def waits(_step, lower, _coated_later) = lower.film? ? [ "rub_out" ] : [ "sand" ]

        # Water and spirit are given a day to leave before the film is polished; the next paper goes on at once.
        def wet(step)
          return unless step["wet"] || step["lubricant"]

          Wet.new(hands.rest_after_wet_min, step["lubricant"] == "mineral_spirit" ? "solvent" : "water")
        end

        def holds?(upper) = %w[polish wax].include?(upper)

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
