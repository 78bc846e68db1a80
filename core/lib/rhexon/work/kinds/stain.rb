module Rhexon
  module Work
    module Kinds
      # Dye, pigment or chemical colour in the wood.
      class Stain < LayingWork
        def phase(_step) = "colour"

        def effect(surface, placement)
          same(surface.with(film: surface.film.stain, grain: raised(surface, placement)))
        end

        def words(step, product_name)
          strength = step["strength_percent"]
          "Stain, #{product_name || step["product"]}#{" at #{format("%g", strength)} %" if strength}"
        end

        private

        # Water raises grain that was not raised before.
        def raised(surface, placement)
          wet = placement.pass.product.carrier == "water" && surface.bare? && surface.grain.nil?
          wet ? "standing" : surface.grain
        end
      end
    end
  end
end
