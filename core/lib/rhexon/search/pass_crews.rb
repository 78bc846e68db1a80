module Rhexon
  module Search
    # Whose hands may do each pass, by index: people as numbers among those of the shop.
    class PassCrews
      # @!attribute crew       [Array<Array<Integer>>]
      # @!attribute scuff_crew [Array<Array<Integer>>] for the scuff before a film
      attr_reader :crew, :scuff_crew

      # @param passes [Array<Planning::Pass>]
      # @param shop [Planning::Shop]
      def initialize(passes, shop)
        @shop = shop
        @crew = passes.map { |pass| pass.work.hands? ? numbers(able(pass)) : [] }
        @scuff_crew = passes.map { |pass| pass.film? ? numbers(shop.hands_for(nil, pass.piece.by)) : [] }
      end

      private

      # As the pin says while that person is at the bench, or whoever is trained.
      def able(pass)
        wanted = @shop.pins[pass.key]&.person
        return @shop.people.select { |person| person.id == wanted } if wanted && !@shop.away.include?(wanted)

        @shop.hands_for(pass.skill, pass.piece.by)
      end

      def numbers(people) = people.map { |person| @shop.people.index(person) }
    end
  end
end
