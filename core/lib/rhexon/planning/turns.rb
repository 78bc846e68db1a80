module Rhexon
  module Planning
    # Which faces of a piece are laid on in one pass. On a flat support or on points the piece is turned between its faces, hung work is done all round.
    # Edges go with the first face; each other face that is laid on catches them again, unless they are masked.
    module Turns
      # @!attribute faces  [Array<String>] laid on
      # @!attribute caught [Array<String>] edges that get the coat as well
      Turn = Struct.new(:faces, :caught)
      WET = %w[coat stain].freeze
      SUPPORTS = %w[flat points hung].freeze

      module_function

      # @param piece [Piece]
      # @param step [Hash]
      # @return [Array<Turn>] in listed order
      def of(piece, step)
        faces = step["faces"] || piece.faces.keys
        edges, sides = faces.partition { |face| edge?(piece, face) }
        return [ Turn.new(faces, []) ] if !WET.include?(step["kind"]) || support(piece, step) == "hung" || sides.size < 2

        first, *rest = sides
        own = faces.select { |face| face == first || edges.include?(face) }
        [ Turn.new(own, []), *rest.map { |face| Turn.new([ face ], edges - (step["mask"] || [])) } ]
      end

      # @return [String] flat, points or hung
      def support(piece, step) = step["support"] || piece.schedule["support"] || "flat"

      def edge?(piece, face) = piece.faces.fetch(face)["kind"] == "edges"

      # Faces that lie down, or are let go of, while these are worked on.
      # @return [Array<String>]
      def underneath(piece, step, faces)
        return [] unless support(piece, step) == "flat"

        sides = piece.faces.keys.reject { |face| edge?(piece, face) }
        worked = sides & faces
        worked.size == 1 ? sides - worked : sides
      end
    end
  end
end
