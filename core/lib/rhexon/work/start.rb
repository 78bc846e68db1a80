module Rhexon
  module Work
    # What a face is like before the first step: bare, coated by somebody else, an old finish nobody knows, or stripped
    # with colour left in the pores.
    module Start
      module_function

      # @param piece [Planning::Piece]
      # @return [Surface]
      def of(piece, face_id)
        Surface.new(film: Film::Stack.new(wood: piece.wood(face_id), arris: piece.arris || "sharp"), found: {}.freeze)
          .freeze
      end
    end
  end
end
