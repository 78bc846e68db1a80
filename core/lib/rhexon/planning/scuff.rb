module Rhexon
  module Planning
    # The scuff that is put in before a coat whose window was lost, or as the house's school has it.
    module Scuff
      module_function

      # @param pass [Pass] a coat
      # @param shop [Shop]
      # @param turn [Integer] 1 for the first; a scuff that grew too old before its coat is done again under a key of
      #   its own
      # @param faces [Array<String>] whose windows were missed
      # @return [Pass] key of the coat with /scuff, /scuff2 ...
      def before(pass, shop, turn = 1, faces = pass.faces)
        Pass
          .new(
            key: key(pass.key, turn), piece: pass.piece, step: pass.step, coat: pass.coat, faces: faces, caught: [],
            kind: "scuff", range: pass.range, each_min: each_min(pass, faces), setup_min: 0, cleanup_min: 0,
            room: room(pass, shop), dry_room: pass.dry_room, pauses: true, dust: true, tools: [], inserted: true,
            needs: [], under: [], under_faces: {}, abraded_by: {}, mates: []
          ).freeze
      end

      # @return [Integer] minutes for one of the alike pieces; a floor is scuffed by machine
      def each_min(pass, faces = pass.faces) = each_min_of(pass.piece, faces)

      def each_min_of(piece, faces)
        extent = Work::Extent.new(piece, faces)
        [ Work::Hours.abrading("scuff", { "machine" => machine?(piece) }, extent).ceil, 1 ].max
      end

      def machine?(piece) = piece.use == "floor"

      # In the sanding room, where the shop has one.
      def room(pass, shop) = shop.room_for("sand") || pass.room

      # @return [String] key of a scuff before a coat
      def key(coat, turn) = "#{coat}/scuff#{turn if turn > 1}"

      # @return [String] key of the coat that a scuff serves
      def served(pass) = pass.key.sub(%r{/scuff\d*\z}, "")
    end
  end
end
