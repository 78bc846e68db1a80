module Rhexon
  module Work
    module Kinds
      # Colour in a slow medium, laid over a sealer and wiped back: it stays in pores and corners and veils the rest.
      class Glaze < FilmWork
        def phase(_step) = "colour"
        def words(step, product_name) = "Glaze, #{product_name || step["product"]}"
      end
    end
  end
end
