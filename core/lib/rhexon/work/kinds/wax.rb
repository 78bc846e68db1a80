module Rhexon
  module Work
    module Kinds
      # Wax, laid on thin and buffed: always the last.
      class Wax < LayingWork
        WAX = Materials::Product.new("id" => "wax", "class" => "wax")
        private_constant :WAX

        def phase(_step) = "rub_out"

        def covers? = false

        # On a film by the table of pairs; on what was wiped or padded thin as soon as that can be handled.
        def waits(_step, lower, _coated_later)
          return %w[sand handle] if thin?(lower)

          [ lower.film? ? Materials::Pairs.comes_to(lower.product, WAX) || "rub_out" : "recoat_opens" ]
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
