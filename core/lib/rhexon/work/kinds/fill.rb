module Rhexon
  module Work
    module Kinds
      # Pores closed with a filler, or with a slurry of finish and wood rubbed in with a paper.
      class Fill < LayingWork
        def phase(_step) = "fill"

        def effect(surface, _placement) = same(surface.with(film: surface.film.fill))

        def words(step, product_name)
          said = product_name || step["product"]
          step["way"] == "slurry" ? "Fill with a slurry of #{said}" : "Fill, #{said}"
        end
      end
    end
  end
end
