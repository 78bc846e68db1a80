module Rhexon
  module Systems
    # One whole way of doing a piece (core/data/systems.yml).
    class System
      # @return [Array<System>] as they are listed
      def self.all = @all ||= Reference.systems.systems.map { |id, record| new(id, record) }.freeze

      # @raise [InvalidInput]
      def self.find(id)
        all.find { |system| system.id == id } ||
          raise(InvalidInput.new("There is no system #{id.inspect}", where: "system",
                                                                     accepted: all.map(&:id).join(", ")))
      end

      # @param laid [Hash] of +lays+
      # @return [Integer, nil] coats to begin reckoning with; nil for work that has none
      def self.first_coats(laid) = laid["coats"] == "film" ? laid["least"] || 2 : laid["coats"]

      attr_reader :id, :name, :says, :ages, :lays, :odour, :skill, :repair, :sheen, :coats_a_day, :fills

      def initialize(id, record)
        @id = id
        @record = record
        @name, @says, @ages, @lays, @sheen, @fills = record.values_at("name", "says", "ages", "lays", "sheen", "fills")
        @odour, @skill, @repair, @coats_a_day = record.values_at("odour", "skill", "repair", "coats_a_day")
        freeze
      end

      def opaque? = @record["opaque"] == true
      # Leaves the colour of the wood alone.
      def pale? = @record["pale"] == true
      # Has to get into the wood: an old finish goes off first.
      def strips? = @record["strips"] == true

      # @return [Hash] what lies on top in the end, of what is laid on by the coat or oiled
      def top = lays.reverse.find { |laid| %w[coat oil].include?(laid["do"]) } || lays.last

      # Mends by spots from here on.
      MENDS = 4
      private_constant :MENDS

      # Why it is out of the question before anything is reckoned.
      # @param piece [Planning::Piece]
      # @param wish [Wish]
      # @param stripped [Boolean] an old finish is off already
      # @return [String, nil] a few words; nil: it may do
      def unfit(piece, wish, stripped: false)
        use(piece) || (found(piece) unless stripped) || gear(wish) || limits(wish) || look(piece, wish)
      end

      # Why a knowing hand takes it first for such a piece.
      # @param piece [Planning::Piece]
      # @param wish [Wish]
      # @return [String, nil] a sentence; nil: it is none of the usual ways
      def because(piece, wish) = @record["suits"]&.find { |row| suits?(row, piece, wish) }&.fetch("because")

      # Words for a use, inside a sentence.
      USES = {
        "show" => "a show piece", "furniture" => "furniture", "table_top" => "a table top", "bar_top" => "a bar top",
        "floor" => "a floor", "marine" => "outdoors"
      }.freeze

      private

      def suits?(row, piece, wish)
        return false if (row["use"] && !row["use"].include?(piece.use)) || (row["mouths"] && !wish.mouths)

        shapes?(row, piece) && knots?(row, piece) && shine?(row, wish.gu)
      end

      def shapes?(row, piece)
        row["shape"].nil? || piece.faces.keys.any? { |id| row["shape"].include?(piece.shape_of(id)) }
      end

      def knots?(row, piece)
        row["knots"].nil? || row["knots"] == piece.faces.keys.any? { |id| piece.timber(id)&.knots }
      end

      def shine?(row, gu)
        (row["from_gu"].nil? || gu.to_f >= row["from_gu"]) && (row["below_gu"].nil? || gu.to_f < row["below_gu"])
      end

      def use(piece)
        named = USES.fetch(piece.use, "this use")
        only, never = @record.values_at("only", "never")
        return "not for #{named}" if never&.include?(piece.use) || (only && !only.include?(piece.use))

        board = piece.faces.keys.any? { |id| piece.wood(id).start_with?("mdf") }
        "not on cut or faced board" if board && !opaque?
      end

      # A sound film is kept: who wants it off says that it is stripped.
      def found(piece)
        sound = piece.faces.each_value.any? do |face|
          %w[coated unknown].include?(face.dig("found", "is")) && (face.dig("found", "state") || "sound") == "sound"
        end
        "the old finish would have to go" if strips? && sound
      end

      def gear(wish)
        missing = lays.filter_map { |laid| laid["way"] unless laid["way"].nil? || laid["way"].intersect?(wish.gear) }
        { "spray" => "no spray gear", "pad" => "no pad", "brush" => "no brush", "wipe" => "no cloths",
          "roller" => "no roller" }.fetch(missing.flatten.first) if missing.any?
      end

      def limits(wish)
        return "it smells" if odour > wish.odour
        return "not for food and toys" if wish.mouths && !@record["mouths"]
        return "it takes a practised hand" if skill > wish.skill

        "it does not mend by spots" if wish.repair && repair < MENDS
      end

      def look(piece, wish)
        return "it hides the wood" if opaque? && wish.opaque != true
        return "it shows the wood" if !opaque? && wish.opaque
        return "it yellows" if wish.pale && !pale?

        beyond = wish.sheen && (wish.sheen[1] < sheen[0] || wish.sheen[0] > sheen[1])
        beyond ? "from #{sheen[0]} to #{sheen[1]} GU" : pores(piece, wish)
      end

      def pores(piece, wish)
        open = piece.faces.keys.any? { |id| piece.shown?(id) && piece.wood(id) != "closed" }
        return "it leaves pores open" if wish.pores == "closed" && open && !@record["pores"].include?("closed")

        "it closes pores" if wish.pores == "open" && open && !@record["pores"].include?("open")
      end
    end
  end
end
