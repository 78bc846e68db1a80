module Rhexon
  module Checks
    module Rules
      # colour.stain_not_dry: a coat over a stain before it is dry in this air, by a pin or a logged fact. The plan
      # itself waits, so it is silent without either.
      module ColourStainNotDry
        module_function

        def call(context)
          context.placements.filter_map do |placement|
            next unless %w[pin log].include?(placement.because)

            early = BondTooSoon.early(placement)
            finding(context, placement, early) if early && early.pass.kind == "stain"
          end
        end

        def finding(context, placement, early)
          stain = early.pass
          air = context.climate(placement, stain.dry_room)
          sentence = "#{context.title(placement)} #{placement.because == "log" ? "went on" : "is pinned"} " \
                     "#{context.duration(early.reached_at - placement.work_start)} before #{stain.product.name} is " \
                     "dry at #{format("%g", air.t_c.round(1))} °C, #{format("%g", air.rh.round)} % RH " \
                     "(#{context.clock(early.reached_at)}). " \
                     "It is dragged along, or stays soft under the film, which then lets go."
          context.finding(
            "colour.stain_not_dry", "stop", "Stain not dry", sentence, placement: placement,
            figures: { reached_at: early.reached_at, starts_at: placement.work_start },
            remedies: placement.because ==
              "pin" ? [ BondTooSoon.move(context, placement, early), BondTooSoon.unpin(context, placement) ] : []
          )
        end
      end
    end
  end
end
