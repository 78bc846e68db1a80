module Rhexon
  module Checks
    module Rules
      # climate.cold: the room is under the product's application limit at the planned hour. Silent at or above the
      # limit.
      module ClimateCold
        module_function

        def call(context)
          context.placements.select { |placement| placement.pass.leaves_something? && placement.status != "done" }
                 .filter_map { |placement| finding(context, placement) }.uniq(&:step)
        end

        def finding(context, placement)
          product = placement.pass.product
          limit = Drying::Application.least_c(product)
          here = context.climate(placement).t_c
          careful = product.caution_air_c&.value
          level = level(product, here, careful) or return

          wanted = careful || limit
          sentence = "#{degrees(here)} in the #{placement.pass.room}, #{product.name} asks for " \
                     "#{degrees(level == "stop" ? limit : careful)}: #{why(product)}."
          context.finding(
            "climate.cold", level, "Too cold to lay", sentence, placement: placement,
            figures: { air_c: here, limit_c: limit, caution_c: careful },
            remedies: [ move(context, placement, wanted) ]
          )
        end

        def level(product, here, careful)
          return "stop" unless Drying::Application.warm_enough?(product, here)

          "caution" if careful && here < careful
        end

        def why(product)
          return "the film cracks or powders instead of closing" if product.waterborne?

          product.mechanism == "oxidative" ? "it hardly hardens" : "it stays soft and may never cure through"
        end

        def move(context, placement, wanted)
          context.elsewhere(placement, "warm enough") { |climate| climate.t_c >= wanted }
        end

        def degrees(value) = "#{format("%g", value)} °C"
      end
    end
  end
end
