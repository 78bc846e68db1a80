module Rhexon
  module Checks
    module Rules
      # mix.too_small: the shop's scale cannot weigh a component of the batch within its tolerance: it is measured out
      # by volume or in drops. A hardener so is a caution, colour and thinner a note. Silent for products poured as they
      # are.
      module MixTooSmall
        # What is dropped or drawn up rather than poured, ml at the most. An estimate.
        DROPPED_ML = 15
        private_constant :DROPPED_ML

        module_function

        def call(context)
          return [] if context.piece.house["measure"] == "volume"

          context.own_batches
            .select { |batch| batch.sheet.recipe.components.size > 1 && batch.sheet.too_small? }
            .map { |batch| finding(context, batch) }
            .uniq(&:step)
        end

        def finding(context, batch)
          coat, pour = context.placement_of(batch.passes.first), batch.sheet.least_told
          off = 50 * context.shop.scale_g / pour.g
          context.finding(
            "mix.too_small", pour.component.role == "hardener" ? "caution" : "note", "Too little to weigh",
            "#{format("%.2g", pour.g)} g of #{pour.name}: a scale that shows #{format("%g", context.shop.scale_g)} g " \
            "is off by up to #{off.round} % of it. Measure #{by_volume(pour.ml)}, or weigh on a finer scale.",
            placement: coat,
            figures: { total_g: batch.sheet.total_g, smallest_g: batch.sheet.smallest_total_g,
                       resolution_g: context.shop.scale_g, off_percent: off.round(1) },
            remedies: [
              whole(context, coat),
              context.remedy("Measure by volume in this schedule",
                             { "op" => "house", "set" => { "measure" => "volume" } })
            ]
          )
        end

        def by_volume(ml)
          return "#{format("%.2g", ml)} ml with a syringe, about #{Mixing::Drops.count(ml)} drops" if ml < DROPPED_ML

          "#{ml.round} ml in a graduated cup"
        end

        # Several batches are each smaller than one.
        def whole(context, coat)
          (coat.pass.step["batches"] || 1) > 1 ? context.change(coat, "Mix it in one batch", { "batches" => 1 }) : nil
        end
      end
    end
  end
end
