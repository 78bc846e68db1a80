module Rhexon
  module Work
    module Kinds
      # Compound, powder or glaze, by cloth, felt, pad or wheel, until the sheen is there.
      class Polish < AbrasiveWork
        def phase(_step) = "rub_out"
        def dust?(_step) = false
        def room(_step) = nil
        def minutes(step, extent) = Hours.abrading("polish", step, extent, step["grits"].size)
        def waits(_step, lower, _coated_later) = lower.film? ? [ "rub_out" ] : [ "sand" ]
        ON = { "cloth" => "a cloth", "felt" => "felt", "pad" => "a foam pad", "wheel" => "a wheel" }.freeze

        def words(step, _product_name)
          on = " on #{ON.fetch(step["polish_on"])}" if step["polish_on"]
          "Polish with #{rungs(step).map(&:words).join(", ")}#{on}"
        end

        private

        def purpose(_step) = "rub_out"
      end
    end
  end
end
