module Rhexon
  module Planning
    # The steps of a piece in the order they are gone through: rounds of a loop included, as many as are planned, one
    # more for each time its look said so, and none after it said yes.
    class Sequence
      # @!attribute step  [Hash]
      # @!attribute round [Integer] 0 for the first time
      # @!attribute later [Array<Hash>] steps that follow it
      Stage = Struct.new(:step, :round, :later)

      # @return [Array<Stage>]
      def self.of(shop, piece) = new(shop, piece).stages

      def initialize(shop, piece)
        @shop = shop
        @piece = piece
        @steps = piece.schedule["steps"]
      end

      def stages
        @steps.each_with_index.flat_map do |step, at|
          [ Stage.new(step, 0, @steps.drop(at + 1)), *(rounds(step, at) if step["again"]) ]
        end
      end

      private

      def rounds(look, at)
        looped = @steps.first(at).select { |step| look["again"]["steps"].include?(step["id"]) }
        (1..Schedule::Loops::MOST_ROUNDS).take_while { |round| gone?(look, round) }.flat_map do |round|
          [ *looped, look ].each_with_index.map do |step, place|
            Stage.new(step, round, [ *looped.drop(place + 1), *@steps.drop(at + 1) ])
          end
        end
      end

      def gone?(look, round)
        said = answer(look, round)
        said ? said == "again" : round <= look["again"]["rounds"]
      end

      # @return [String, nil] what the look before a round said
      def answer(look, round)
        @shop.log.answers_of(@piece.id)[Pass.key(@piece, look, round, Turns.for(@piece, look).first.faces)]
      end
    end
  end
end
