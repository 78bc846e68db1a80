module Rhexon
  module Work
    # What lays on a film that stays: a coat, or a thin coloured one.
    class FilmWork < LayingWork
      def film? = true

      def effect(surface, placement)
        pass = placement.pass
        film = surface.film.coat(
          pass.product, method: pass.method, pass: pass.key, wet_um: pass.wet_um,
          mixed_solids_percent: pass.solids_percent, fused: placement.inside, role: role(pass.step),
          coloured: pass.step.key?("tint")
        )
        raised = surface.bare? && surface.grain.nil? && pass.product.carrier == "water"
        same(surface.with(film: film, rubbed_um: nil, sheen_gu: sheen(film, surface, pass.product), hazy: false,
                          grain: raised ? "standing" : surface.grain))
      end

      # @return [String] what its layer is called: "Top coat"
      def layer_name(_step) = name

      private

      def sheen(film, surface, product)
        top = film.layers.last
        top.sheen_gu && Prep::Sheen.of_film(top.sheen_gu, um: film.total_um, wood: film.wood, oil: product.oil?,
                                                          wiped: top.way != "builder", scratch_um: surface.scratch_um)
      end

      def role(_step) = id
    end
  end
end
