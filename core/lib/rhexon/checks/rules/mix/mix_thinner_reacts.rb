module Rhexon
  module Checks
    module Rules
      # mix.thinner_reacts: a thinner with alcohol in a two-part polyurethane, whose hardener takes the alcohol for
      # the resin.
      # Silent for the thinner its sheet names, water or urethane grade.
      module MixThinnerReacts
        module_function

        def call(context)
          context.laid.filter_map { |placement| on_step(context, placement) }.uniq(&:step)
        end

        def on_step(context, placement)
          product = placement.pass.product
          return unless product.isocyanate? && Mixing::ProductMix.thinning(placement.pass.product, placement.pass.step)

          thinner = context.shop.products[placement.pass.step["thinner"] || product.thinner_id]
          return unless thinner&.carrier == "alcohol"

          right = if product.thinner_id && product.thinner_id != thinner.id
            context.change(placement, "Thin with what its sheet names", { "thinner" => nil })
          else
            context.change(placement, "Do not thin it", { "thinning" => nil })
          end
          context.finding(
            "mix.thinner_reacts", "stop", "Thinner reacts with the hardener",
            "#{thinner.name} is alcohol: it uses up the hardener of #{product.name}, and the film never cures through.",
            placement: placement, figures: { thinner: thinner.name }, remedies: [ right ]
          )
        end
      end
    end
  end
end
