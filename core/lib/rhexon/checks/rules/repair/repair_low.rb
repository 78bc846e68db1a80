module Rhexon
  module Checks
    module Rules
      # repair.low: a patch of finish of fewer layers than the spot is deep: it stays a dip. Silent where nobody says
      # how deep it is, and on putty, wax and burn-in, which fill at one go.
      module RepairLow
        # More are another repair. An estimate.
        MOST_LAYERS = 12
        private_constant :MOST_LAYERS

        module_function

        def call(context)
          patches = context.placements.select { |one| one.pass.kind == "mend" && one.pass.step["way"] == "patch" }
          patches.reject { |one| one.status == "done" }.uniq { |one| one.pass.step }
            .filter_map { |patch| finding(context, patch) }
        end

        def finding(context, patch)
          step, product = patch.pass.step, patch.pass.product
          depth = depth(context, patch)
          dry = product && layer_um(product)
          return unless depth && dry&.positive?

          laid, needed = step["coats"] || 1, (depth / dry - 1e-9).ceil
          return if laid >= needed

          context.finding(
            "repair.low", "caution", "The patch stays low",
            "#{context.title(patch)} leaves #{(laid * dry).round} µm in a spot that is #{depth.round} µm deep. Each " \
            "layer by a small brush dries before the next, until it stands level.",
            placement: patch, figures: { depth_um: depth.round(1), leaves_um: (laid * dry).round(1), layers: needed },
            remedies: [ layers(context, patch, needed) ].compact
          )
        end

        def layers(context, patch, needed)
          context.change(patch, "Apply #{needed} layers", { "coats" => needed }) if needed <= MOST_LAYERS
        end

        # @return [Numeric, nil] µm, as measured, else what lies there
        def depth(context, patch)
          step = patch.pass.step
          return step["depth_um"] if step["depth_um"]
          return unless step["deep"]

          context.walks.filter_map { |face, walk| film_um(walk, patch, step) if patch.pass.faces.include?(face) }.max
        end

        def film_um(walk, patch, step)
          last = walk.course.reverse.find { |moment| moment.placement.work_start < patch.work_start }
          surface = last&.after || walk.bare
          um = step["deep"] == "colour" ? surface.clear_over_colour : surface.total_um
          um if um.positive?
        end

        # @return [Float] µm dry, by brush where it can be brushed
        def layer_um(product)
          method = product.methods_known.include?("brush") ? "brush" : product.methods_known.first
          wet = method && product.wet_um(method)&.value
          wet ? Film::Coat.dry_um(wet, product.solids_volume_percent&.value.to_f) : 0
        end
      end
    end
  end
end
