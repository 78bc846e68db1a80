module Rhexon
  module Checks
    module Rules
      # bond.waxy_shellac: a film over shellac that is not dewaxed. Silent over dewaxed shellac, and for shellac on
      # itself.
      module BondWaxyShellac
        module_function

        def call(context)
          context.walks.flat_map { |_, walk| on_face(context, walk) }.uniq { |finding| finding.pass }
        end

        def on_face(context, walk)
          walk.snapshots.filter_map do |snapshot|
            pass = snapshot.placement.pass
            below = snapshot.before.layers.reverse.find(&:left?)
            lower = context.shop.products[below.product_id] if pass.film? && below
            next unless lower&.waxy?

            level = level(pass.product) or next
            finding(context, snapshot.placement, lower, below, level)
          end
        end

        def level(upper)
          return nil if upper.class_id == "shellac"

          Materials::Pairs.sheds_on_wax?(upper) ? "stop" : "caution"
        end

        def finding(context, placement, lower, layer, level)
          sentence = "#{placement.pass.product.name} goes over #{lower.name}, which holds wax: it may crawl or peel " \
                     "off in sheets."
          context.finding(
            "bond.waxy_shellac", level, "Wax under the film", sentence, placement: placement,
            figures: { lower: lower.name, upper: placement.pass.product.name },
            remedies: remedies(context, placement, lower, layer)
          )
        end

        def remedies(context, placement, lower, layer)
          dewaxed = context.dewaxed or return []
          lower_step = context.placements.find { |other| other.pass.key == layer.pass }&.pass&.step
          return [ between(context, placement, dewaxed, nil) ] unless lower_step

          swap = context.remedy(
            "Use #{dewaxed.name} instead of #{lower.name}",
            Schedule::Swap.operation(lower_step, dewaxed)
          )
          [
            (swap if context.placements.none? { |other|
              other.pass.step.equal?(lower_step) && other.status != "planned"
            }),
            between(context, placement, dewaxed, lower_step["faces"])
          ]
        end

        def between(context, placement, dewaxed, faces)
          context.seal_under(placement, dewaxed, "Seal with #{dewaxed.name} in between", faces: faces)
        end
      end
    end
  end
end
