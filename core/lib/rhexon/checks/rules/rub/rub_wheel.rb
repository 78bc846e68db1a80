module Rhexon
  module Checks
    module Rules
      # rub.wheel: a buffing wheel whose rim runs faster than a film bears. Silent where no speed is said, at a slower
      # wheel, and by any other polishing.
      module RubWheel
        module_function

        def call(context)
          context.placements.filter_map do |placement|
            step = placement.pass.step
            next unless placement.pass.kind == "polish" && step["polish_on"] == "wheel" && step["wheel_rpm"]

            mm = step["wheel_mm"] || Prep::Wheel.usual_mm
            finding(context, placement, step["wheel_rpm"], mm) if Prep::Wheel.too_fast?(step["wheel_rpm"], mm)
          end
        end

        def finding(context, placement, rpm, mm)
          low, high = Prep::Wheel.rpm_range(mm)
          speed = Prep::Wheel.rim_m_per_s(rpm, mm)
          slower = (low + high) / 2
          context.finding(
            "rub.wheel", "caution", "The wheel burns the film",
            "At #{rpm.round} turns a minute the rim of a #{mm.round} mm wheel runs #{speed.round} m/s: the film gets " \
            "hot and drags. #{low} to #{high} turns keep to 8 to 15 m/s.",
            placement: placement, figures: { m_per_s: speed },
            remedies: [ context.change(placement, "Run it at #{slower}", { "wheel_rpm" => slower }) ]
          )
        end
      end
    end
  end
end
