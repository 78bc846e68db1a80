module Rhexon
  module Checks
    module Rules
      # colour.bleed: what goes over a stain dissolves it and is rubbed on. Silent when it is sprayed, when its
      # carrier is another one, over dry oil stain under oil, over filler and putty, and for a material over itself.
      module ColourBleed
        module_function

        def call(context)
          table = Reference.colour
          context.course.laid.filter_map do |upper|
            lower = context.course.under(upper).last
            unless lower&.stain? && !lower.product.filler? && lower.product != upper.product && upper.first &&
                !upper.begun? && table.rubbing.include?(upper.step["method"])
              next
            end

            finding(context, lower, upper) if dissolves?(upper.product, lower.product)
          end
        end

        def dissolves?(upper, lower)
          (Reference.colour.bleed[upper.carrier] || []).include?(lower.carrier)
        end

        def finding(context, lower, upper)
          done = Materials::Methods::DONE.fetch(upper.step["method"])
          sentence = "#{upper.product.name} is carried in #{carrier(upper.product)} and #{done} on: it takes " \
                     "#{lower.product.name} up again, in streaks and into the film."
          context.finding(
            "colour.bleed", "caution", "Colour comes up", sentence, placement: upper.first,
            figures: { lower: lower.product.name, upper: upper.product.name },
            remedies: [ spray(context, upper), seal(context, lower, upper) ]
          )
        end

        def carrier(product) = product.carrier.tr("_", " ")

        def spray(context, upper)
          wet = upper.product.wet_um("spray")&.value
          if context.shop.usable(upper.product.methods_known).include?("spray")
            context.change(upper.first, "Spray it",
                           { "method" => "spray", **(upper.coat? && wet ? { "wet_um" => wet } : {}) })
          end
        end

        # Rubbed on as well, so it must not dissolve it either; sprayed where it can be.
        def seal(context, lower, upper)
          sealer = context.shelf.find do |product|
            product.film? && !product.coloured? && !product.waxy? &&
              %w[shellac vinyl_sealer].include?(product.class_id) && !dissolves?(product, lower.product)
          end
          return unless sealer

          context.seal_under(upper.first, sealer, "Seal with #{sealer.name} first")
        end
      end
    end
  end
end
