module Rhexon
  module Work
    module Kinds
      # An oil that goes into the wood: flooded first, then rubbed in by drops. It builds no film.
      class Oil < LayingWork
        def phase(_step) = "build"

        def effect(surface, placement)
          same(surface.with(film: surface.film.oil, sheen_gu: placement.pass.product.sheen_gu&.value))
        end

        def words(step, product_name) = "Oil, #{product_name || step["product"]}"
      end
    end
  end
end
