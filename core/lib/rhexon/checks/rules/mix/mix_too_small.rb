module Rhexon
  module Checks
    module Rules
      # mix.too_small: the shop's scale cannot weigh a component of the batch within its tolerance. Silent for
      # products poured as they are.
      module MixTooSmall
        module_function

        def call(context)
          return [] if context.piece.house["measure"] == "volume"

          context.own_batches
            .select { |batch| batch.sheet.recipe.components.size > 1 && batch.sheet.too_small? }
            .map { |batch| finding(context, batch) }
            .uniq(&:step)
        end

        def finding(context, batch)
          coat = context.placement_of(batch.passes.first)
          least = batch.sheet.smallest_total_g
          sentence = "#{batch.sheet.total_g.round} g are needed; a scale that shows " \
                     "#{format("%g", context.shop.scale_g)} g weighs this mix from #{least.ceil} g on. Mix that " \
                     "much, or weigh on a finer scale."
          context.finding(
            "mix.too_small", "caution", "Too little to weigh", sentence, placement: coat,
            figures: { total_g: batch.sheet.total_g, smallest_g: least, resolution_g: context.shop.scale_g },
            remedies: [
              whole(context, coat),
              context.remedy("Measure by volume in this schedule",
                             { "op" => "house", "set" => { "measure" => "volume" } })
            ]
          )
        end

        # Several batches are each smaller than one.
        def whole(context, coat)
          (coat.pass.step["batches"] || 1) > 1 ? context.change(coat, "Mix it in one batch", { "batches" => 1 }) : nil
        end
      end
    end
  end
end
