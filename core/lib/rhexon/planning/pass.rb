module Rhexon
  module Planning
    # One session of hands: a step, a coat number, a set of faces, all alike pieces (or a part of them).
    #
    # @!attribute needs  [Array<Need>] milestones of earlier passes that must be reached before work starts
    # @!attribute under  [Array<Integer>] film passes whose recoat window this coat meets, by index
    # @!attribute abraded_by [Hash{Integer=>Array<Integer>}] film pass => later abrasion passes of the whole face before this one
    # @!attribute mates  [Array<Integer>] earlier coats of the same evaporative stack
    # @!attribute range  [Range] which of the alike pieces
    # @!attribute pauses [Boolean] may pause at closing between alike pieces
    Pass = Struct.new(:index, :key, :piece, :step, :coat, :part, :faces, :kind, :product, :method, :wet_um, :solids_percent, :stack_dry_um, :range, :each_min,
                      :setup_min, :cleanup_min, :room, :pauses, :inserted, :needs, :under, :abraded_by, :mates, :minutes, :last_on_faces, keyword_init: true) do
      # @return [String] piece/step/coat/faces; keys never hold positions
      def self.key(piece, step, coat, part = nil)
        faces = (step["faces"] || piece.faces.keys).join("+")
        [ piece.id, step["id"], coat, faces, *("part#{part}" if part) ].join("/")
      end

      def count = range.size
      def work_min = count * each_min
      def hands_min = kind == "wait" ? 0 : setup_min + work_min + cleanup_min
      def area_m2 = piece.area_m2(faces)
      def film? = kind == "coat"
      def leaves_something? = %w[coat stain].include?(kind)
      def abrasion? = %w[sand level scuff].include?(kind)
    end

    # A milestone of an earlier pass that must be reached.
    # @!attribute pair_min [Numeric, nil] the pair's own wait, reference minutes
    Need = Struct.new(:pass, :milestone, :pair_min, keyword_init: true)
  end
end
