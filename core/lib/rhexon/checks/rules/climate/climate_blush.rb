module Rhexon
  module Checks
    module Rules
      # climate.blush: an evaporating film cools itself below the dew point and turns white. Silent in dry air, and on
      # films that do not dry by evaporation.
      module ClimateBlush
        module_function

        def call(context)
          context.coats.select { |coat| coat.pass.product.mechanism == "evaporative" && coat.status != "done" }
                 .filter_map { |coat| finding(context, coat) }.uniq(&:step)
        end

        def finding(context, coat)
          air = context.climate(coat)
          below = below_dew(coat, air, coat.pass.step["retarder"])
          return unless below.positive?

          level = below >= Reference.limits.blush_stop_c ? "stop" : "caution"
          cooled = cooling(coat, coat.pass.step["retarder"])
          sentence = "The wet film cools by #{cooled} °C, to #{(air.t_c - cooled).round(1)} °C; the dew point is " \
                     "#{air.dew_point_c.round(1)} °C at #{format("%g", air.rh)} % RH. Water settles in it: white bloom."
          context.finding(
            "climate.blush", level, "The film will blush", sentence, placement: coat,
            figures: { dew_point_c: air.dew_point_c.round(2), film_c: (air.t_c - cooled).round(2), cooling_c: cooled },
            remedies: [ retarder(context, coat, air), drier(context, coat) ]
          )
        end

        # @return [Float] °C the film lies below the dew point; negative when it stays above
        def below_dew(coat, air, retarder) = air.dew_point_c - (air.t_c - cooling(coat, retarder))

        def cooling(coat, retarder)
          table = Reference.drying.cooling_c
          full = (table[coat.pass.product.class_id] || table.fetch("default")).fetch(coat.pass.method, 3)
          retarder ? full / 2.0 : full
        end

        def retarder(context, coat, air)
          if !coat.pass.step["retarder"] && below_dew(coat, air, true) <= 0
            context.change(coat, "Add retarder (halves the cooling)", { "retarder" => true })
          end
        end

        def drier(context, coat)
          context.elsewhere(coat, "dry enough") { |air| below_dew(coat, air, coat.pass.step["retarder"]) <= 0 }
        end
      end
    end
  end
end
