module Rhexon
  module Checks
    module Rules
      # colour.tannin: water draws brown colour out of tannin-rich and knotty wood, into what is laid on. Silent on
      # other woods, and where any film that is not waterborne lies between.
      module ColourTannin
        PALE_NAME = /\b(?:off-?)?(?:white|ivory|cream)\b/i
        private_constant :PALE_NAME

        module_function

        def call(context)
          wood = context.course.wood
          return [] unless wood&.tannin || wood&.knots

          wet = context.course.laid.find { |one| one.coat? && one.product.waterborne? } or return []
          if wet.first.nil? || wet.begun? ||
              context.course.under(wet).any? { |one| one.coat? && !one.product.waterborne? }
            return []
          end

          [ finding(context, wood, wet,
                    context.course.laid.find { |one| one.coat? && one.product.waterborne? && pale?(one.product) }) ]
        end

        # By what the shelf says of the paint, else by its own colour, laid on so that it hides, else by its name.
        def pale?(product)
          return false unless product.colour == "pigmented"
          return true if product.pale?

          optics = Colour::Optics.for(product)
          return product.name.match?(PALE_NAME) unless optics.known && optics.s.all?(&:positive?)

          hiding = optics.k.zip(optics.s).map { |k, s| Colour::Layer.ground(k / s) }
          Colour::Spectrum.lab(hiding, Colour::Light.find("D65"))[0] >= Reference.limits.pale_paint_l
        end

        def finding(context, wood, wet, pale)
          drawn = wood.tannin ? "tannin" : "resin of knots"
          sentence = if pale
            "Water in #{wet.product.name} draws #{drawn} out of #{wood.species}: brown spots come through " \
            "#{pale.product.name}, coat after coat."
          else
            "Water in #{wet.product.name} draws #{drawn} out of #{wood.species}: it may darken and show rings."
          end
          context.finding(
            "colour.tannin", pale ? "stop" : "note", pale ? "Brown will come through" : "Colour out of the wood",
            sentence, placement: wet.first, figures: { wood: wood.species },
                      remedies: [ blocked(context, wet) ]
          )
        end

        # Water in what blocks would draw it out again, unless that is what it is made for.
        def blocked(context, wet)
          context.barrier_under(wet.first, nil, "Block it with %s")
        end
      end
    end
  end
end
