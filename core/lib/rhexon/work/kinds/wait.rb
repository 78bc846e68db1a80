module Rhexon
  module Work
    module Kinds
      # A length of time, or a milestone of what is on.
      class Wait < Kind
        UNTIL = {
          "dust_safe" => "dust-safe", "touch" => "dry to touch", "recoat_opens" => "recoat opens",
          "sand" => "dry to sand", "handle" => "ready to handle", "stack" => "ready to stack",
          "rub_out" => "ready to rub out", "full_cure" => "fully cured"
        }.freeze

        def phase(step) = step["milestone"] == "full_cure" ? "cure" : "wait"
        def idle? = true
        def hands? = false
        def minutes(_step, _extent) = 0
        def waits(step, _lower, _coated_later) = [ step["milestone"] ].compact

        def words(step, _product_name)
          till = UNTIL[step["milestone"]]
          till ? "Wait until #{till}" : "Wait #{Units.duration(step["minutes"])}"
        end
      end
    end
  end
end
