module Rhexon
  module Systems
    # What a piece is wished to be, and within which limits. Whatever is not said is open.
    class Wish
      GEAR = %w[brush wipe pad roller spray].freeze
      # What a proposal is weighed by, and how much each counts where nobody says otherwise.
      WEIGHTS = {
        "bears" => 3, "look" => 3, "sure" => 2, "date" => 2, "hours" => 2, "usual" => 5, "cost" => 1, "odour" => 1,
        "skill" => 1, "repair" => 1
      }.freeze

      attr_reader :lab, :sheen, :pores, :opaque, :pale, :mouths, :gear, :odour, :skill, :repair, :least, :budget, :due,
                  :weights

      # @param json [Hash] "lab" (the wanted colour, D65), "sheen" [GU, GU], "pores" open or closed, "opaque", "pale"
      #   (as close to bare as can be), "mouths" (it touches food or goes into mouths), "gear" of GEAR, "odour" and
      #   "skill" (most, 1 to 5), "repair" (it must mend by spots), "least" (what it must stand up to beyond its use, 1
      #   to 5), "budget" (the most that material may cost), "due" (ISO 8601), "weights" of WEIGHTS (0 to 5)
      # @param shop [Planning::Shop] what there is to work with where no gear is said
      # @raise [InvalidInput]
      def initialize(json, shop)
        Schema.check!("rhexon-wish-1", json)
        @lab = json["lab"] && Colour::Lab.check(json["lab"])
        @sheen = json["sheen"]&.sort
        @pores, @opaque, @pale = json.values_at("pores", "opaque", "pale")
        @mouths = json["mouths"] == true
        @gear = json["gear"] || Wish.gear_of(shop)
        @odour, @skill, @repair = json["odour"] || 5, json["skill"] || 5, json["repair"] == true
        @least, @budget = json["least"] || {}, json["budget"]
        @due = json["due"] && Zone.minute(json["due"], where: "due")
        @weights = WEIGHTS.merge(json["weights"] || {}).freeze
        freeze
      end

      # Hands always have brushes, cloths, pads and rollers; a gun is in the shop or not.
      # @return [Array<String>]
      def self.gear_of(shop) = shop.sprays? ? GEAR : GEAR - [ "spray" ]

      # @param use [String, nil]
      # @return [Hash{String=>Integer}] what it has to stand up to, 1 to 5
      def asks(use) = Materials::Resistance.asks(use).merge(least) { |_, asked, least| [ asked, least ].max }

      # @return [Numeric, nil] GU in the middle of what is wanted
      def gu = sheen && sheen.sum / 2.0
    end
  end
end
