module Rhexon
  module Work
    module Kinds
      # Wax, laid on thin and buffed: always the last.
      class Wax < LayingWork
        def phase(_step) = "rub_out"

        def covers? = false

        # Paste wax on a film that is thin, oiled or of one part goes on as soon as that can be handled.
        def waits(_step, lower, _coated_later)
          return [ lower.film? ? "rub_out" : "recoat_opens" ] unless thin?(lower)

          %w[sand handle]
        end

        # A film keeps the sheen it was rubbed to, bare wood gets that of the wax.
        def effect(surface, placement)
          same(surface.with(residue: "wax", sheen_gu: surface.sheen_gu || placement.pass.product.sheen_gu&.value))
        end

        def words(step, product_name) = "Wax, #{product_name || step["product"]}"
      end
    end
  end
end
