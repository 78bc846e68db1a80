module Rhexon
  module Work
    module Kinds
      # A film: seal, build or top.
      class Coat < LayingWork
        ROLES = {
          "seal" => "Seal", "washcoat" => "Washcoat", "barrier" => "Barrier", "primer" => "Primer", "build" => "Build",
          "top" => "Top coat"
        }.freeze
        UNDER = %w[seal washcoat barrier primer].freeze

        def film? = true
        def phase(step) = UNDER.include?(step["role"]) ? "seal" : "build"

        def effect(surface, placement)
          pass = placement.pass
          film = surface.film.coat(
            pass.product, method: pass.method, pass: pass.key, wet_um: pass.wet_um,
            mixed_solids_percent: pass.solids_percent, fused: placement.inside, role: pass.step["role"]
          )
          raised = surface.bare? && surface.grain.nil? && pass.product.carrier == "water"
          same(surface.with(film: film, sheen_gu: film.layers.last.sheen_gu, hazy: false,
                            grain: raised ? "standing" : surface.grain))
        end

        def words(step, product_name) = "#{ROLES.fetch(step["role"])}, #{product_name || step["product"]}"
      end
    end
  end
end
