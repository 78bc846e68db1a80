module Rhexon
  module Checks
    module Rules
      # climate.damp, climate.dew: a waterborne film in air too damp to take its water; any film on a surface so near
      # the dew point that it may sweat. The surface is taken to be as warm as the air. Silent in usual air, and where
      # climate.blush already says it.
      #
      # Sources: ISO 8502-4 for the 3 °C above the dew point; trade practice for waterborne films.
      module ClimateDamp
        module_function

        def call(context)
          context.coats.reject { |coat| coat.status == "done" || coat.pass.inserted }
            .filter_map { |coat| finding(context, coat) }.uniq(&:step)
        end

        def finding(context, coat)
          air, product = context.climate(coat), coat.pass.product
          return if dry?(air, product) || blushes?(coat, air)

          damp = too_damp?(air, product)
          context.finding(
            damp ? "climate.damp" : "climate.dew", "caution", damp ? "Too damp to lay" : "Too near the dew point",
            damp ? damp_words(coat, air) : dew_words(coat, air), placement: coat,
            figures: { rh: air.rh, dew_point_c: air.dew_point_c.round(2) }, remedies: [ drier(context, coat) ]
          )
        end

        def dry?(air, product) = !too_damp?(air, product) && above_dew_c(air) >= Reference.limits.above_dew_c
        def too_damp?(air, product) = product.waterborne? && air.rh > Reference.limits.waterborne_most_rh
        def above_dew_c(air) = air.t_c - air.dew_point_c

        def blushes?(coat, air)
          coat.pass.product.mechanism == "evaporative" &&
            ClimateBlush.below_dew(coat, air, coat.pass.step["retarder"]).positive?
        end

        def damp_words(coat, air)
          "#{number(air.rh)} % RH in the #{coat.pass.room}: water hardly leaves #{coat.pass.product.name}, which " \
            "stays soft, runs and turns cloudy. #{Reference.limits.waterborne_most_rh} % is the most."
        end

        def dew_words(coat, air)
          "In the #{coat.pass.room} the surface is only #{number(above_dew_c(air).round(1))} °C above the dew point " \
            "of #{number(air.dew_point_c.round(1))} °C: damp settles on it under #{coat.pass.product.name}. " \
            "#{number(Reference.limits.above_dew_c)} °C is the least."
        end

        def drier(context, coat)
          context.elsewhere(coat, "dry enough") { |air| dry?(air, coat.pass.product) }
        end

        def number(value) = format("%g", value)
      end
    end
  end
end
