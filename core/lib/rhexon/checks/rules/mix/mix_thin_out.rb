module Rhexon
  module Checks
    module Rules
      # mix.thin_out: thinned beyond what the maker allows. Silent inside the range, and where the sheet gives none.
      module MixThinOut
        module_function

        def call(context)
          context.laid.filter_map { |placement| on_step(context, placement) }.uniq(&:step)
        end

        def on_step(context, placement)
          product = placement.pass.product
          thinning = Mixing::ProductMix.thinning(placement.pass.product, placement.pass.step)
          range = product.thinning_range_percent
          return unless thinning && range

          percent = if thinning["of"] == product.thinning_of
            thinning["percent"]
          else
            Mixing::Thinning.other_percent(thinning["percent"], of: thinning["of"])
          end
          return if percent.between?(*range)

          finding(context, placement, percent, range)
        end

        def finding(context, placement, percent, range)
          product = placement.pass.product
          nearest = percent > range.last ? range.last : range.first
          sentence = "#{format("%.3g", percent)} % of the #{product.thinning_of} is thinner, the maker allows " \
                     "#{format("%g", range.first)} to #{format("%g", range.last)} %: " \
                     "#{percent > range.last ? "it runs, covers badly and may not form a film" : "it does not level"}."
          context.finding(
            "mix.thin_out", "caution", percent > range.last ? "Thinned too far" : "Too thick for the gun", sentence,
            placement: placement, figures: { percent: percent, low: range.first, high: range.last },
            remedies: [ context.change(placement, "Thin by #{format("%g", nearest)} % of the #{product.thinning_of}",
                                       { "thinning" => { "percent" => nearest, "of" => product.thinning_of } }) ]
          )
        end
      end
    end
  end
end
