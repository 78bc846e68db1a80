module Rhexon
  module Planning
    # A piece, or n alike pieces done together, with its schedule.
    # @!attribute faces [Hash{String=>Hash}] face id => {"area_m2", "wood"}; areas are per single piece
    # @!attribute job [String] pieces of one job are late together
    # @!attribute by  [String, nil] the only person who works on it
    # @!attribute shape [String, nil] of Work::Extent::SHAPES; nil: as its sizes were typed, else flat
    # @!attribute named_wood [String, nil] as the shop names it
    # @!attribute wood_like [String, nil] the nearest kind that has colour figures
    # @!attribute wood_facts [Hash] what its batch of timber is unlike its kind: "tannin", "knots", "oily", "spots"
    # @!attribute place_air [Hash, nil] "t_c" and "rh" of where it will live
    # @!attribute sketch [Hash, nil] of a floor, as Areas::Floor takes it
    # @!attribute wanted [Hash] "lab" (D65, 2 degree) and "light" it will be seen in
    # @!attribute boards [Array<Hash>, nil] cells tried for it: "name", "wood", "layers"; nil: not stated
    # @!attribute look_approved [Boolean]
    # @!attribute due, release [Integer, nil] minutes
    # @!attribute priority [String] of PRIORITIES
    Piece = Struct.new(:id, :count, :faces, :schedule, :release, :due, :job, :by, :ready_at, :use, :arris, :shape,
                       :house, :named_wood, :wood_like, :wood_facts, :place_air, :sketch, :wanted, :boards,
                       :look_approved, :priority, keyword_init: true) do
      # The object kept for a piece that was read before and has not changed, so that what was made from it can be
      # used again.
      # @return [Piece]
      def self.same(piece)
        self::KEPT.fetch(piece) { piece }
      end

      # @return [Float] m² of one piece
      def area_m2(face_ids) = face_ids.sum { |id| faces.fetch(id).fetch("area_m2").to_f }

      # Backs, insides and edges are not judged by what the piece must stand up to.
      def shown?(face_id) = (faces.fetch(face_id)["kind"] || "face") == "face"

      # @return [String, nil] its kind of wood, or the nearest to it
      def species = Colour::Wood.named(named_wood) || wood_like

      # The wood of a face, as it was read where it was read bare.
      # @param board [String] pale, mean or dark board of the kind
      # @return [Colour::Wood, nil] nil: neither the kind nor a reading is known
      def timber(face_id, board = "mean")
        found = faces.fetch(face_id)["found"] || {}
        Colour::Wood.timber(species, board, lab: (found["lab"] if Colour::FoundLook.wood?(found)))&.but(wood_facts)
      end

      # @return [String] of Work::Extent::SHAPES
      def shape_of(face_id) = shape || faces.fetch(face_id)["shape"] || "flat"

      def wood(face_id) = faces.fetch(face_id)["wood"] || "closed"
    end
    # From what goes before all else to what takes the hands that are left.
    Piece::PRIORITIES = %w[urgent normal when_time].freeze
    Piece::KEPT = Cache.new(600)
  end
end
