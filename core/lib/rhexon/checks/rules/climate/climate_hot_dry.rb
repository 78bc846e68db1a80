module Rhexon
  module Checks
    module Rules
      # climate.hot_dry: in hot air, and for water also in dry air, a coat skins before it has flowed out. Silent in
      # usual air, for what is wiped off or rubbed in, for solvent films in dry but not hot air, and where a retarder is
      # in the mix already.
      module ClimateHotDry
        module_function

        def call(context)
          open = context.coats.reject { |coat| coat.status == "done" || coat.pass.inserted || flows_anyway?(coat) }
          open.filter_map { |coat| finding(context, coat) }.uniq(&:step)
        end

        def flows_anyway?(coat)
          %w[wipe pad].include?(coat.pass.method) || coat.pass.step["retarder"] || coat.pass.product.open_time_min.nil?
        end

        def fast?(air, product)
          air.t_c > Reference.limits.hot_above_c || (product.waterborne? && air.rh < Reference.limits.dry_below_rh)
        end

        def finding(context, coat)
          air, product = context.climate(coat, coat.pass.room), coat.pass.product
          return unless fast?(air, product)

          sheet = product.open_time_min.value
          open = Areas::WetEdge.open_min(product, air)
          return if open > sheet * Reference.limits.open_share

          context.finding(
            "climate.hot_dry", "caution", "It skins before it flows",
            "#{number(air.t_c)} °C and #{number(air.rh)} % RH in the #{coat.pass.room}: #{product.name} stays open " \
            "for about #{number(open)} min instead of #{number(sheet)}, so laps, brush marks or orange peel stay.",
            placement: coat, figures: { t_c: air.t_c, rh: air.rh, open_min: open.round(1), usual_min: sheet },
            remedies: coat.status == "planned" ? [ elsewhere(context, coat), retarded(context, coat) ] : []
          )
        end

        def elsewhere(context, coat)
          context.elsewhere(coat, "cool and damp enough") { |air| !fast?(air, coat.pass.product) }
        end

        # Retarder is a slow solvent: it goes into what dries by solvent alone.
        def retarded(context, coat)
          unless coat.pass.product.mechanism == "evaporative"
            return context.ruled_out("Retarder", "it is a slow solvent, and goes into lacquer and shellac only")
          end

          context.change(coat, "Retarder in the mix", { "retarder" => true })
        end

        def number(value) = format("%g", value.round(1))
      end
    end
  end
end
