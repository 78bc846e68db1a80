module Rhexon
  module Planning
    # One session of hands: a step, a coat number, a set of faces, all alike pieces (or a part of them).
    #
    # @!attribute caught [Array<String>] faces that get the coat as well
    # @!attribute needs  [Array<Precedence>] milestones of earlier passes that must be reached before work starts
    # @!attribute under  [Array<Integer>] film passes whose recoat window this coat meets, by index
    # @!attribute under_faces [Hash{Integer=>Array<String>}] film pass => faces on which this coat meets it
    # @!attribute abraded_by [Hash{Integer=>Array<Array<Integer>>}] film pass => for each of those faces the later dry
    #   abrasions of it before this coat
    # @!attribute sections [Integer, nil] laid and wiped off in so many turns, each before the next
    # @!attribute sitting  [Integer, nil] first pass of the sitting that this one goes on with, by index
    # @!attribute goes_on  [Boolean, nil] with the pot and tool of the coat before it, so soon that neither is cleaned
    # @!attribute after_day [Integer, nil] coat that this one may not share a day with, by index
    # @!attribute mates  [Array<Integer>] earlier coats of the same evaporative stack
    # @!attribute range  [Range] which of the alike pieces
    # @!attribute pauses [Boolean] may pause at closing between alike pieces
    # @!attribute dust   [Boolean] raises dust
    # @!attribute skill  [String, nil] what the hands must be trained for
    # @!attribute tools  [Array<String>] one of these is held
    # @!attribute hard   [HardWindow, nil] the window it must catch, watched from the pass it opens on
    # @!attribute transfer [Float, nil] the shop's own share of the transfer efficiency that is taken otherwise
    # @!attribute rubs [Float, nil] the shop's own share of what the abrasive is taken to rub off otherwise
    # @!attribute signature [Array] passes with the same one dry alike
    Pass = Struct.new(
      :index, :key, :piece, :step, :coat, :part, :faces, :caught, :kind, :product, :method, :wet_um, :solids_percent,
      :stack_dry_um, :range, :each_min, :setup_min, :cleanup_min, :room, :dry_room, :pauses, :dust, :skill, :tools,
      :inserted, :needs, :under, :under_faces, :abraded_by, :mates, :sections, :sitting, :goes_on, :after_day, :hard,
      :minutes, :last_on_faces, :signature, :transfer, :rubs, keyword_init: true
    ) do
      # @param part [String, nil] which of the alike pieces: "pieces1-4"
      # @return [String] piece/step/coat/faces; keys never hold positions
      def self.key(piece, step, coat, faces, part = nil)
        [ piece.id, step["id"], coat, faces.join("+"), *part ].join("/")
      end

      def count = range.size
      def work_min = count * each_min
      def hands_min = work.hands? ? setup_min + work_min + cleanup_min : 0
      def area_m2 = piece.area_m2(faces)
      # @return [Work::Kind]
      def work = Work::Kind.find(kind)
      def film? = work.film?
      def leaves_something? = work.lays?
      # @return [Boolean] it leaves a product that dries by its own sheet, on faces or in spots
      def dries_by_sheet? = leaves_something? || work.dries_by_sheet?(step)
      def abrasion? = work.abrades?
    end
  end
end
