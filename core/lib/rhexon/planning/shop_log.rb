module Rhexon
  module Planning
    # What the log of a shop says of each pass, and what of that its pieces are made into passes by.
    class ShopLog
      # @return [Hash{String=>PassLog}] by pass key
      attr_reader :facts

      # @param entries [Array<Hash>] "log" of rhexon-shop/1
      def initialize(entries)
        @facts = PassLog.fold(entries)
        @parts = @facts.each_key.each_with_object({}) { |key, parts| part_of(key, parts) }
        @answers = by_piece(@facts.select { |_, fact| fact.answer }.transform_values(&:answer))
        @measured = by_piece(
          @facts.select { |_, fact|
            fact.comb_um || fact.pot_g
          }.transform_values { |fact| [ fact.comb_um, fact.pot_g ] }
        )
        freeze
      end

      # Parts of alike pieces that the log knows: their own pieces, or (from before keys named them) only their number.
      # @param piece [String] its id
      # @return [Hash{String=>Hash{String=>Range, nil}}] by key of the whole pass: name of the part => pieces
      def parts_of(piece) = @parts.fetch(piece, {})

      # What looks at a piece were answered.
      # @return [Hash{String=>String}] by pass key: yes or again
      def answers_of(piece) = @answers.fetch(piece, {})

      # What was measured while coats of a piece were laid on.
      # @return [Hash{String=>Array}] by pass key: readings of the comb, weights of the pot
      def measured_of(piece) = @measured.fetch(piece, {})

      private

      def by_piece(of_passes) = of_passes.group_by { |key, _| key[%r{\A[^/]+}] }.transform_values(&:to_h)

      def part_of(key, parts)
        match = PART.match(key) or return
        (parts[match[:piece]] ||= {}).then do |mine|
          mine[match[:base]] ||= {}
        end[match[:part]] = match[:from] && (match[:from].to_i - 1..match[:till].to_i - 1)
      end

      PART = %r{\A(?<base>(?<piece>[^/]+)/[^/]+/\d+/[^/]+)/(?<part>pieces(?<from>\d+)-(?<till>\d+)|part\d+)(?:/|\z)}
      private_constant :PART
    end
  end
end
