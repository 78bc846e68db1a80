module Rhexon
  module Proposals
    # What the house's schools change of new steps: which are likely, and what they begin with.
    class HouseWays
      # @param place [Place, BoardPlace]
      def initialize(place)
        @place = place
        @house = place.piece.house
      end

      # @param id [String] of core/data/new_steps.yml
      # @param usual [Boolean] likely by what the face is like
      def likely?(id, usual)
        case id
        when "scrape" then way?("smoothing", "scrape") && @place.states.include?("bare")
        when "fill" then usual && way?("pores", "filler") && in_turn?
        when "slurry" then usual && way?("pores", "slurry")
        when "oil" then usual && (way?("oil_first", "yes") || !film_next?)
        else usual
        end
      end

      # Of shellac for a top coat the one that the house polishes with, where the shelf has it.
      # @param product [Materials::Product]
      # @param others [Array<Materials::Product>]
      def shellac(product, others)
        waxy = way?("polish_shellac", "waxy")
        return product if product.class_id != "shellac" || product.waxy? == waxy

        others.find { |other| other.class_id == "shellac" && other.waxy? == waxy } || product
      end

      # A first film that is the top coat, thinned as far as its sheet goes.
      # @param top [Materials::Product, nil]
      # @return [Hash, nil] fields of the step; nil: the house has a sealer, or nothing says how far it is thinned
      def thinned(top)
        return unless top && way?("first_coat", "thinned") && top.thinning_range_percent

        { "product" => top.id, "thinning" => { "percent" => top.thinning_range_percent.last, "of" => top.thinning_of } }
      end

      # @return [Hash] fields that the house adds to what is laid on
      def added(product, method)
        wiped = way?("wiping", "wiped") && method == "wipe" && product.film?
        { "wipe_off" => (true if wiped && product.milestone("wipe_off_latest")&.value), "faces" => faces }.compact
      end

      private

      # Filler before the colour, or after it.
      def in_turn? = way?("filler_when", "before") ? uncoloured? : !coloured_next?
      def way?(rule, way) = @house[rule] == way
      def coloured_next? = @place.following&.fetch("kind") == "stain"
      def uncoloured? = !@place.states.include?("stained")

      def film_next?
        @place.steps.drop(@place.before.size).any? { |step| Work::Steps.film?(step) }
      end

      # Hidden faces first, or last; edges go with the first.
      def faces
        piece = @place.piece
        return if way?("face_order", "listed") || !piece.respond_to?(:faces)

        shown, hidden = piece.faces.keys.partition { |face| piece.shown?(face) }
        return if shown.empty? || hidden.all? { |face| Planning::Turns.edge?(piece, face) }

        way?("face_order", "last") ? hidden + shown : shown + hidden
      end
    end
  end
end
