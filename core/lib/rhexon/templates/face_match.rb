module Rhexon
  module Templates
    # Which faces of a piece stand for those that a template was made on: the one of the same name, else all of its
    # kind.
    class FaceMatch
      # @param there [Array<Hash>] faces of the template
      # @param here [Hash{String=>Hash}] faces of the piece
      def initialize(there, here)
        @kinds = there.to_h { |face| face.values_at("id", "kind") }
        @here = here.transform_values { |face| face["kind"] || "face" }
      end

      # @param ids [Array<String>, nil] of the template; nil: all
      # @return [Array<String>, nil] of the piece
      def ids(ids) = ids&.flat_map { |id| of_face(id) }

      # Kinds of face that only one of them has.
      # @return [Array<String>] sentence parts
      def differences
        there, here = @kinds.values.uniq, @here.values.uniq
        (there - here).map { |kind| "#{WORDS.fetch(kind)} there and none here" } +
          (here - there).map { |kind| "#{WORDS.fetch(kind)} here and none there: only steps for all faces are theirs" }
      end

      WORDS = { "face" => "a show face", "back" => "a back", "inside" => "an inside", "edges" => "edges" }.freeze

      private

      def of_face(id)
        kind = @kinds.fetch(id)
        return [ id ] if @here[id] == kind

        @here.select { |other, its| its == kind && !(@kinds.key?(other) && @kinds[other] == kind) }.keys
      end
    end
  end
end
