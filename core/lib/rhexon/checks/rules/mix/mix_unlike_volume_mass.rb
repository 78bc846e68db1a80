module Rhexon
  module Checks
    module Rules
      # mix.unlike_volume_mass: a hardener given by volume is weighed with a density nobody stated. Silent when both
      # densities are stated, when the share is by mass, and when the shop measures by volume.
      module MixUnlikeVolumeMass
        module_function

        def call(context)
          return [] if context.piece.house["measure"] == "volume"

          context.own_batches.filter_map { |batch| on_batch(context, batch) }.uniq(&:step)
        end

        def on_batch(context, batch)
          recipe = batch.sheet.recipe
          hardener = recipe.components.find do |component|
            component.role == "hardener" && component.basis == "volume"
          end
          return unless hardener

          unstated = [ recipe.base, hardener ].select(&:estimate?)
          return if unstated.empty?

          sentence = "The share of #{hardener.name} is by volume, and #{unstated.map(&:name).join(" and ")} " \
                     "#{unstated.one? ? "has" : "have"} no density on the shelf: its grams are an estimate. Fill the " \
                     "density in, or measure by volume."
          context.finding(
            "mix.unlike_volume_mass", "caution", "Weighed by an estimate", sentence,
            placement: context.placement_of(batch.passes.first),
            figures: { density_g_per_ml: hardener.density_g_per_ml },
            remedies: [
              context.go("Fill in the density", "product", unstated.first.product),
              context.remedy("Measure by volume in this schedule",
                             { "op" => "house", "set" => { "measure" => "volume" } })
            ]
          )
        end
      end
    end
  end
end
