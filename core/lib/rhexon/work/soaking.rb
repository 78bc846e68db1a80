module Rhexon
  module Work
    # Whether colour that goes into wood gets there. The check and the drawing ask here.
    module Soaking
      module_function

      # @param surface [Surface] before it
      # @param product [Materials::Product] the stain or dye
      # @param products [Hash{String=>Materials::Product}] of the shop
      # @return [String, Film::Layer, nil] what keeps it out: oil or wax that lies on it, or the topmost layer of a film
      #   of more than 8 µm that the table of pairs says it never goes on; nil: it takes, over a washcoat with less
      #   colour
      def kept_out_by(surface, product, products)
        return surface.residue if %w[oil wax].include?(surface.residue)

        film = surface.layers.select(&:left?)
        return if film.sum(&:um) <= Reference.limits.stain_over_film_um

        lower = products[film.last.product_id]
        film.last if lower.nil? || Materials::Pairs.usual(lower, product)&.fetch("verdict") == "never"
      end
    end
  end
end
