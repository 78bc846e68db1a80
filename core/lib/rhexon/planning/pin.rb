module Rhexon
  module Planning
    # What a user has fixed of a pass.
    # @!attribute start  [Integer, nil] minute of its hands
    # @!attribute person [String, nil] who does it
    Pin = Struct.new(:start, :person) do
      # Pins of the schedules are pins of the plan; a pin given with the plan wins.
      # @param given [Array<Hash>] {"pass", "start", "person"}
      # @param shop [Shop]
      # @return [Hash{String=>Pin}] by pass key
      def self.read(given, shop)
        own = shop.pieces.flat_map do |piece|
          piece.schedule["steps"].flat_map do |step|
            (step["pins"] || []).map { |pin| [ key(piece, step, pin), build(pin, shop) ] }
          end
        end
        own.to_h.merge(given.to_h { |pin| [ pin["pass"], build(pin, shop) ] })
      end

      # A pin that names no faces is for the first that are laid on.
      def self.key(piece, step, pin)
        Pass.key(piece, step, pin["coat"], pin["faces"] || Turns.for(piece, step).first.faces)
      end

      def self.build(pin, shop)
        known = pin["person"].nil? || shop.away.include?(pin["person"]) ||
          shop.people.any? { |person| person.id == pin["person"] }
        Rhexon.refuse_unless(
          known, "#{pin["person"]} is not among the people", where: "pins", accepted: shop.people.map(&:id).join(", ")
        )
        new(
          pin["start"] &&
            Zone.minute(pin["start"], where: "pins").tap { |minute| Zone.near!(minute, shop.now, "pins") },
          pin["person"]
        ).freeze
      end
      private_class_method :build
    end
  end
end
