module Rhexon
  module Search
    # A finished build as another one takes it over: every pass where it stands, but for those of one piece.
    class Standing
      # @param model [Model] of the new build
      # @param trial [PartialSchedule] the finished one, of a shop that differs in this piece, or has fewer
      # @param piece [Integer, nil] that is left out
      def initialize(model, trial, piece = nil)
        @model = model
        @trial = trial
        @piece = piece
        @numbers = model.passes.each_index.to_h { |index| [ model.passes[index].key, index ] }
      end

      # @yieldparam index [Integer] of the pass in the new build
      # @yieldparam slot [CandidateSlot]
      def each
        @trial.start.each_index do |was|
          next if @trial.start[was].nil? || @trial.model.logged.placed[was] || (index = number(was)).nil?

          yield index, slot(was)
        end
      end

      # @return [Array<Integer>] passes whose pin was given up
      def lapsed = @trial.lapsed.filter_map { |was| number(was) }

      # @return [Array<Hash>] as PartialSchedule#blocked
      def blocked
        @trial.blocked.filter_map { |block| (index = number(block[:index])) && { **block, index: index } }
      end

      private

      def number(was)
        index = @numbers[@trial.model.passes[was].key]
        index if index && @model.piece_of[index] != @piece
      end

      def slot(was)
        CandidateSlot.new(@trial.start[was], @trial.who[was], @trial.stretches[was], @trial.scuff[was],
                          @trial.why[was], @trial.tool[was], @trial.asked[was])
      end
    end
  end
end
