module Rhexon
  module Planning
    # A piece, or n alike pieces done together, with its schedule.
    # @!attribute faces [Hash{String=>Hash}] face id => {"area_m2", "wood"}; areas are per single piece
    # @!attribute due, release [Integer, nil] minutes
    Piece = Struct.new(:id, :count, :faces, :schedule, :release, :due, :ready_at, :use, :arris, :house, keyword_init: true) do
      # @return [Float] m² of one piece
      def area_m2(face_ids) = face_ids.sum { |id| faces.fetch(id).fetch("area_m2") }

      # Backs, insides and edges are not judged by what the piece must stand up to.
      def shown?(face_id) = (faces.fetch(face_id)["kind"] || "face") == "face"

      def wood(face_id) = faces.fetch(face_id)["wood"] || "closed"
    end
  end
end
