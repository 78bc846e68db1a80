module Rhexon
  module Checks
    module Rules
      # use.outdoor_clear: a clear film out of doors. Sun goes through it and breaks up the wood that it holds on, so
      # that it has to be renewed before it opens. Silent indoors, for pigment, for oil and wax, which wear off without
      # peeling, and where use.wrong_film says already that it does not bear the weather.
      module UseOutdoorClear
        module_function

        def call(context)
          return [] unless context.piece.use == "marine"

          top = context.course.laid.reverse.find { |one| one.first && one.coat? && !one.product.oil? }
          return [] if top.nil? || !top.clear? || Materials::Resistance.lacking("marine", top.product).any?

          [ finding(context, top) ]
        end

        def finding(context, top)
          months = Materials::Resistance.renewed_after_months("marine", top.product)
          context.finding(
            "use.outdoor_clear", "note", "Clear film in the sun",
            "Sun goes through #{top.product.name} and breaks up the wood it holds on: look every spring, and lay a " \
            "fresh coat on every #{months} months, before it opens (an estimate). Pigment would keep the sun off.",
            placement: top.placements.last, figures: { renew_months: months }, remedies: [ pigmented(context, top) ]
          )
        end

        # Pigment of the shelf that bears the weather, is laid on the same way and holds on what is below.
        def pigmented(context, top)
          return if top.begun?

          below = context.course.laid.take_while { |one| !one.equal?(top) }.reverse.find(&:lays?)
          paint = context.shelf.find do |product|
            product.film? && product.colour == "pigmented" && product.role != "primer" &&
              Schedule::Kinds.methods(top.step["kind"], product).include?(top.step["method"]) &&
              Materials::Resistance.lacking("marine", product).empty? && context.holds?(below&.product, product)
          end
          paint && context.change(top.placements.last, "Use #{paint.name} on top", Schedule::Swap.set(top.step, paint))
        end
      end
    end
  end
end
