module Rhexon
  module Checks
    module Rules
      # mix.water_in_spirit: shellac let down with spirit that holds water (stop), or pale shellac with dyed spirit
      # (caution).
      # Silent for dry, undyed spirit, and for dyed spirit where the house takes that too.
      module MixWaterInSpirit
        module_function

        def call(context)
          context.laid.filter_map { |placement| on_step(context, placement) }.uniq(&:step)
        end

        def on_step(context, placement)
          product = placement.pass.product
          unless product.class_id == "shellac" &&
              Mixing::ProductMix.thinning(placement.pass.product, placement.pass.step)
            return
          end

          spirit = context.shop.products[placement.pass.step["thinner"] || product.thinner_id] or return
          most = Mixing::Cut.defaults.most_water_percent
          return watered(context, placement, spirit, most) if spirit.water_percent > most

          tints = spirit.dyed? && product.pale? && context.piece.house["spirit"] == "undyed"
          dyed(context, placement, spirit) if tints
        end

        def watered(context, placement, spirit, most)
          sentence = "#{spirit.name} holds #{format("%g", spirit.water_percent)} % water, #{most} % is the most: the " \
                     "flake gels and the film turns white."
          context.finding(
            "mix.water_in_spirit", "stop", "Water in the spirit", sentence, placement: placement,
            figures: { water_percent: spirit.water_percent, most_percent: most },
            remedies: [ better(context, placement) ]
          )
        end

        def dyed(context, placement, spirit)
          context.finding(
            "mix.water_in_spirit", "caution", "Dyed spirit in pale shellac",
            "#{spirit.name} is dyed and tints pale flakes.", placement: placement, figures: { spirit: spirit.name },
            remedies: [ better(context, placement) ]
          )
        end

        def better(context, placement)
          dry = context.shelf.find do |product|
            product.class_id == "thinner" && product.carrier == "alcohol" &&
              product.water_percent <= Mixing::Cut.defaults.most_water_percent && !product.dyed?
          end
          dry && context.change(placement, "Use #{dry.name}", { "thinner" => dry.id })
        end
      end
    end
  end
end
