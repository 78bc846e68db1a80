module Rhexon
  module Systems
    # Looks to choose a wanted one from, reckoned on the wood of a piece: bare, under clear films of several kinds, and
    # with each stain of the shelf, weak to full.
    class LookChart
      # @!attribute words [String] how it comes about
      # @!attribute lab   [Array<Float>] L*a*b* (D65, 2 degree)
      Tile = Struct.new(:words, :lab, keyword_init: true)

      # Kinds of film that colour wood unlike each other, with how they are laid on for the picture.
      FILMS = { "waterborne_one_part" => "brush", "shellac" => "brush", "oil_varnish" => "brush" }.freeze
      COATS = 3
      STRENGTHS = [ 25, 50, 100 ].freeze
      # Seen through a satin film.
      GU = 30.0
      # Nearer than that two tiles look the same.
      SAME = 1.5
      private_constant :FILMS, :COATS, :STRENGTHS, :GU, :SAME

      # @param shop [Planning::Shop]
      # @param piece [Planning::Piece]
      def initialize(shop, piece)
        @shop = shop
        @wood = piece.timber(piece.faces.keys.find { |id| piece.shown?(id) } || piece.faces.keys.first)
      end

      # @return [Array<Tile>] the palest first; empty where the wood has no colour figures
      def tiles
        return [] unless @wood

        [ bare, *films, *stained ].each_with_object([]) { |tile, kept|
          kept << tile if kept.none? { |other| Colour::DeltaE.ciede2000(other.lab, tile.lab) < SAME }
        }.sort_by { |tile| -tile.lab[0] }
      end

      # Other woods under a clear satin film.
      # @return [Array<Tile>] by name
      def woods
        Colour::Wood.species.sort.map do |species|
          tile(species, Colour::Looks.new(Colour::Wood.for_species(species), [ SANDED ], {}, surface: @shop.surface)
            .with_stain({}, under_gu: GU))
        end
      end

      SANDED = Colouring::SANDED
      private_constant :SANDED

      private

      def tile(words, reflectance)
        lab = Colour::Look.new(reflectance, Colour::Light.find("D65")).lab
        Tile.new(words: words, lab: lab.map { |value| value.round(1) })
      end

      def bare = tile("bare", @wood.reflectance)

      def films
        FILMS.map do |class_id, method|
          product = Materials::Product.read({ "id" => class_id, "class" => class_id, "sheen_gu" => GU })
          coat = { "id" => "s2", "kind" => "coat", "product" => class_id, "method" => method, "role" => "top",
                   "coats" => COATS, "wet_um" => product.wet_um(method).value }
          looks = Colour::Looks.new(@wood, [ SANDED, coat ], { class_id => product }, surface: @shop.surface)
          tile("under #{product.name == class_id ? usual(class_id) : product.name}", looks.final.reflectance)
        end
      end

      def usual(class_id) = Reference.classes.classes.fetch(class_id)["name"].sub(/^./, &:downcase)

      def stained
        looks = Colour::Looks.new(@wood, [ SANDED ], @shop.products, surface: @shop.surface)
        Colouring.colours(@shop.products.values).select(&:optics).flat_map do |product|
          STRENGTHS.map do |percent|
            tile("#{product.name} at #{percent} %", looks.with_stain({ product => percent / 100.0 }, under_gu: GU))
          end
        end
      end
    end
  end
end
