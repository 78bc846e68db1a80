module Rhexon
  module Planning
    # Which faces of a piece are laid on in one pass. On a flat support or on points the piece is turned between its
    # faces, hung work is done all round, and of what is fixed (floors, built-in work) one face is done after the
    # other and nothing is turned.
    # Edges go with the first face; each other face that is laid on catches them again, unless they are masked.
    module Turns
      # @!attribute faces  [Array<String>] laid on
      # @!attribute caught [Array<String>] edges that get the coat as well
      # @!attribute time   [Integer] how often these faces were laid on before in the same coat
      # @!attribute times  [Integer] how often they are in all
      Turn = Struct.new(:faces, :caught, :time, :times)
      # Names of a face that looks the other way.
      OTHER_WAY = /back|under|bottom|inside|rear|below/i
      private_constant :OTHER_WAY
      # Work of so little that it is turned on points, m² of all its faces.
      SMALL_M2 = Reference.hands.on_points_under_m2

      module_function

      # @param piece [Piece]
      # @param step [Hash]
      # @return [Array<Turn>] in listed order
      def for(piece, step)
        masked = Schedule::Reach.masked(piece.schedule, step)
        faces = step["faces"] || piece.faces.keys - masked
        edges, sides = faces.partition { |face| edge?(piece, face) }
        return [ Turn.new(faces.uniq, [], 0, 1) ] unless Work::Kind.find(step["kind"]).lays?
        return all_round(faces) if support(piece, step) == "hung" || sides.size < 2

        caught = support(piece, step) == "fixed" ? [] : edges - (step["mask"] || []) - masked
        sides.each_with_index.map do |side, at|
          time = sides.first(at).count(side)
          own = at.zero? ? faces.uniq.select { |face| face == side || edges.include?(face) } : [ side ]
          Turn.new(own, at.zero? ? [] : caught, time, sides.count(side))
        end
      end

      # Hung work: all faces at once, and those that are listed again once more.
      def all_round(faces)
        (0...faces.tally.values.max.to_i).map do |time|
          again = faces.tally.select { |_, count| count > time }.keys
          Turn.new(again, [], time, faces.count(again.first))
        end
      end
      private_class_method :all_round

      # @return [String] flat, points, hung or fixed
      def support(piece, step) = step["support"] || piece.schedule["support"] || usual(piece)

      # How a piece lies unless its schedule says otherwise: floors stay where they are, two opposite faces are turned
      # over; more faces, loose parts (a top and its legs) and small work lie on points and are coated in turn.
      # @return [String]
      def usual(piece)
        sides = piece.faces.keys.reject { |face| edge?(piece, face) }
        return "fixed" if piece.use == "floor"
        return "flat" if sides.size < 2

        sides.size == 2 && opposites?(piece, sides) && piece.area_m2(sides) >= SMALL_M2 ? "flat" : "points"
      end

      # One looks the other way, by its kind or by its name.
      def opposites?(piece, sides)
        sides.any? { |face| %w[back inside].include?(piece.faces.fetch(face)["kind"]) || face.match?(OTHER_WAY) }
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
