module Rhexon
  module Checks
    module Rules
      # time.wet_edge: on a floor that was sketched, what is laid on dries faster than hands come back to its edge.
      # Silent where the edge stays wet in sections, and for what gives no open time.
      module TimeWetEdge
        module_function

        def call(context)
          sketch = context.piece.sketch or return []
          context.laid.reject { |placement| placement.pass.inserted }.filter_map do |placement|
            pass = placement.pass
            floor = Areas::Floor.new(sketch, product: pass.product, climate: context.climate(placement, pass.room),
                                             wet_um: pass.wet_um)
            finding(context, placement, floor) if floor.open_min && !floor.keeps_wet?
          end.uniq(&:step)
        end

        def finding(context, placement, floor)
          context.finding(
            "time.wet_edge", "caution", "No edge stays wet",
            "#{placement.pass.product.name} stays open for #{floor.open_min.round} min in this air: an edge of " \
            "#{format("%.2f", floor.limit_m)} m is all these hands keep wet, so laps will show. A slower product, " \
            "cooler or damper air, or another pair of hands.",
            placement: placement, figures: { open_min: floor.open_min, limit_m: floor.limit_m }, remedies: []
          )
        end
      end
    end
  end
end
