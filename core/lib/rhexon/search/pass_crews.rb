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
        @trained = {}
        @crew = passes.map { |pass| pass.work.hands? ? able(pass) : [] }
        @scuff_crew = passes.map { |pass| pass.film? ? trained(nil, pass.piece.by) : [] }
      end

      private

      # As the pin says while that person is at the bench, or whoever is trained.
      def able(pass)
        wanted = @shop.pins[pass.key]&.person
        return [ @shop.people.index { |person| person.id == wanted } ].compact if wanted && !@shop.away.include?(wanted)

        trained(pass.skill, pass.piece.by)
      end

      def trained(skill, by)
        @trained[[ skill, by ]] ||= @shop.hands_for(skill, by).map { |person| @shop.people.index(person) }.freeze
      end
    end
  end
end
