module Rhexon
  module Checks
    module Rules
      # mix.ratio_out: the hardener of a step is outside what its maker allows. Silent inside the range, and where the
      # step leaves it to the sheet.
      module MixRatioOut
        module_function

        def call(context)
          context.laid.filter_map { |placement| on_step(context, placement) }.uniq(&:step)
        end

        def on_step(context, placement)
          parts = placement.pass.step["hardener_parts"] or return
          hardener = placement.pass.product.mix.find { |component| component["role"] == "hardener" }
          return nothing_to_add(context, placement) unless hardener

          low, high = hardener["range"] || tolerated(hardener)
          return if parts.between?(low, high)

          context.finding(
            "mix.ratio_out", "stop", "Hardener outside its range",
            "#{format("%g", parts)} parts of hardener, the maker allows #{span(low, high)}: the film stays soft or " \
            "turns brittle.",
            placement: placement, figures: { parts: parts, low: low, high: high },
            remedies: [ context.change(placement, "Mix it as the sheet says: #{format("%g", hardener["parts"])} parts",
                                       { "hardener_parts" => nil }) ]
          )
        end

        def nothing_to_add(context, placement)
          context.finding("mix.ratio_out", "caution", "No hardener on its sheet",
                          "The step asks for hardener, and the sheet of #{placement.pass.product.name} names none.",
                          placement: placement,
                          remedies: [ context.change(placement, "Omit the hardener", { "hardener_parts" => nil }) ])
        end

        # A share without a range has only its tolerance.
        def tolerated(hardener)
          slack = (hardener["tolerance_percent"] ||
            Reference.mixing.tolerance_percent.fetch("hardener")) /
            100.0
          [ hardener["parts"] * (1 - slack), hardener["parts"] * (1 + slack) ]
        end

        def span(low, high) = "#{format("%.4g", low)} to #{format("%.4g", high)}"
      end
    end
  end
end
