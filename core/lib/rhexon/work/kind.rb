module Rhexon
  module Work
    # One kind of work: what it asks of hands, what it waits for, what it does to a face, how it is said. Each is a file
    # in kinds/; what fields and products a step of it may have stands in core/data/kinds.yml.
    #
    # A step is a Hash of a schedule document; +lower+ is a pass that left something on the face (it answers to film?,
    # method, product); +placement+ a pass on the clock.
    class Kind
      # @!attribute surface  [Surface] after it
      # @!attribute asked_um [Numeric] what the abrasive takes off where there is enough
      Effect = Struct.new(:surface, :asked_um)
      # What stays wet after work that leaves no product behind.
      # @!attribute minutes [Numeric] at 20 °C and 50 %
      # @!attribute carrier [String] water or solvent
      Wet = Struct.new(:minutes, :carrier)

      class << self
        # @param id [String]
        # @return [Kind]
        def find(id) = all.fetch(id)

        # @return [Hash{String=>Kind}]
        def all
          @all ||= Dir[File.join(__dir__, "kinds", "*.rb")].sort.to_h do |file|
            id = File.basename(file, ".rb")
            [ id, Kinds.const_get(id.split("_").map(&:capitalize).join).new(id).freeze ]
          end.freeze
        end
      end

      attr_reader :id

      def initialize(id)
        @id = id
      end

      # @return [String] prepare, colour, fill, seal, build, level, rub_out, cure, look, wait
      def phase(_step) = "prepare"
      # @return [Boolean] leaves a product on the face that dries by its own clock
      def lays? = false
      # @return [Boolean] goes over what an abrasion before it has prepared
      def covers? = lays?
      # @return [Boolean] what it lays on builds a film
      def film? = false
      # @return [Boolean] may pause at closing, between pieces and inside a large face
      def pauses? = false
      # @return [Boolean] raises dust
      def dust?(_step) = false
      # @return [Boolean] takes film off
      def abrades? = false
      # @return [Boolean] takes all of it, down to the wood, and means to
      def bares?(_step) = false
      # @return [Numeric, nil] share of the film that it takes off, whatever there is; nil: by its abrasive
      def share_off(step) = bares?(step) ? 1 : nil
      # @return [Boolean] does nothing to the face and lays no hand on it
      def idle? = false
      # @return [Boolean] needs hands
      def hands? = true
      # @return [String, nil] use of the room it is done in, where the shop has one
      def room(_step) = nil

      # Hands, less set-up and cleaning, on one of the alike pieces.
      # @param extent [Extent]
      # @return [Numeric] minutes
      def minutes(step, extent) = Hours.abrading(step["kind"], step, extent)

      # @return [Numeric] minutes before it begins, where no method says
      def setup_min(_step) = 0

      # @return [Boolean] it looks at a film that is finished, and changes nothing
      def tells? = false

      # What it waits for on a face that something was laid on.
      # @param coated_later [Boolean] a coat or stain follows on the face
      # @return [Array<String>] milestones of +lower+
      def waits(_step, lower, _coated_later) = [ lower.film? ? "handle" : "sand" ]

      # @param upper [String] kind of the work that follows
      # @return [Boolean] whether that waits for what it leaves wet
      def holds?(_upper) = true

      # @return [Wet, nil] what it leaves wet
      def wet(_step) = nil

      # @return [Boolean] leaves spots of a product, which dry by its sheet
      def dries_by_sheet?(_step) = false

      # @param surface [Surface]
      # @return [Effect]
      def effect(surface, _placement) = Effect.new(surface, 0.0)

      # @param product_name [String, nil]
      # @return [String] "Sand P150, P180"
      def words(_step, _product_name) = name

      # @return [String] "Raise the grain"
      def name = id.tr("_", " ").capitalize

      private

      def hands = Reference.hands
      def same(surface) = Effect.new(surface, 0.0)
      def rungs(step) = (step["grits"] || []).map { |grit| Prep::Abrasive.near(grit) }
      def ways = Reference.kinds.kinds.fetch(id).fetch("ways")

      # @return [String] how a step is done, at the head of a sentence
      def in_this_way(step) = ways.fetch(step["way"]).sub(/\A./, &:upcase)

      # Wiped, padded, oiled or one-part waterborne: thin films that take a light rub once they can be handled.
      def thin?(lower)
        %w[wipe pad].include?(lower.method) || lower.product.oil? || lower.product.mechanism == "coalescing"
      end

      # Everything comes off that is there.
      def stripped(surface, **changes)
        surface.with(film: surface.film.cut_back, sheen_gu: nil, hazy: false, **changes)
      end
    end
  end
end
