module Rhexon
  module Film
    # One coat on one face, as long as any of it is left and after.
    #
    # @!attribute pass       [String] key of the pass that laid it
    # @!attribute um         [Float] left on the face, µm
    # @!attribute arris_um   [Float] left on the arris, µm
    # @!attribute laid_um    [Float] dry film when laid, on the surface, µm
    # @!attribute coloured   [Boolean] colour that must not be sanded through
    # @!attribute opaque [Boolean] pigmented: its own colour all through, so only a clear over it can be sanded
    #   through
    # @!attribute mechanism  [String] only coats of one fuse inside a window
    # @!attribute way        [String] how it was laid, of {MinimumThickness}
    # @!attribute family     [String, nil] evaporative family that melts together
    # @!attribute bond_group [Integer] coats that fused carry the same number
    # @!attribute sheen_gu   [Numeric, nil]
    Layer = Struct.new(:pass, :product_id, :um, :arris_um, :laid_um, :coloured, :opaque, :redissolves, :mechanism, :way,
                       :family, :bond_group, :sheen_gu, :role, keyword_init: true) do
      def without(face_um, edge_um)
        self.class.new(**to_h, um: [ um - face_um, 0.0 ].max, arris_um: [ arris_um - edge_um, 0.0 ].max).freeze
      end

      def left? = um.positive?
    end
  end
end
