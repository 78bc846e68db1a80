module Rhexon
  module Planning
    # Which faces of a piece are laid on in one pass. On a flat support or on points the piece is turned between its
    # faces, hung work is done all round, and of what is fixed (floors, built-in work) one face is done after the
    # other and nothing is turned.
    # Edges go with the first face; each other face that is laid on catches them again, unless they are masked.
    module Turns
      # @!attribute faces  [Array<String>] laid on
      # @!attribute caught [Array<String>] edges that get the coat as well
      Turn = Struct.new(:faces, :caught)
      # Work of so little that it is turned on points, m² of all its faces.
      SMALL_M2 = Reference.hands.on_points_under_m2

      module_function

      # @param piece [Piece]
      # @param step [Hash]
      # @return [Array<Turn>] in listed order
      def for(piece, step)
        faces = step["faces"] || piece.faces.keys
        edges, sides = faces.partition { |face| edge?(piece, face) }
        if !Work::Kind.find(step["kind"]).lays? || support(piece, step) == "hung" || sides.size < 2
          return [ Turn.new(faces, []) ]
        end

        first, *rest = sides
        own = faces.select { |face| face == first || edges.include?(face) }
        caught = support(piece, step) == "fixed" ? [] : edges - (step["mask"] || [])
        [ Turn.new(own, []), *rest.map { |face| Turn.new([ face ], caught) } ]
      end

      # @return [String] flat, points, hung or fixed
      def support(piece, step) = step["support"] || piece.schedule["support"] || usual(piece)

      # How a piece lies unless its schedule says otherwise: floors stay where they are, two opposite faces are turned
      # over, more faces and small work lie on points.
      # @return [String]
      def usual(piece)
        sides = piece.faces.keys.reject { |face| edge?(piece, face) }
        return "fixed" if piece.use == "floor"

        sides.size > 2 || (sides.size == 2 && piece.area_m2(sides) < SMALL_M2) ? "points" : "flat"
      end

      def edge?(piece, face) = piece.faces.fetch(face)["kind"] == "edges"

      # Faces that lie down, or are let go of, while these are worked on: the opposite one, and all of them where
      # several are done at a time.
      # @return [Array<String>]
      def underneath(piece, step, faces)
        return [] unless support(piece, step) == "flat"

        sides = piece.faces.keys.reject { |face| edge?(piece, face) }
        worked = sides & faces
        worked.size == 1 ? opposite(piece, worked.first, sides) : sides
      end

      # Of two faces the other one; of more those that look the other way, where that is known.
      def opposite(piece, face, sides)
        others = sides - [ face ]
        kinds = piece.faces.transform_values { |record| record["kind"] || "face" }
        return others if others.size < 2 || sides.map { |side| kinds[side] }.uniq.one?

        wanted = { "face" => "back", "back" => "face" }[kinds[face]]
        others.select { |other| kinds[other] == wanted }
      end
    end
  end
end
