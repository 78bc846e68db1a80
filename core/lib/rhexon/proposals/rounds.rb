module Rhexon
  module Proposals
    # How often something is gone over until it looks right, by reckoning.
    module Rounds
      module_function

      # How often pores are filled until they are closed.
      # @param filled [Numeric] share that is full already
      # @return [Integer] 0 where they are closed
      def fillings(filled = 0.0)
        rule = Reference.film.filler
        open, closed = 1 - filled, 1 - Reference.film.pore_words.last.last
        return 0 if open <= closed

        left = 1 - rule.fills * (1 - rule.loses)
        (Math.log(closed / open) / Math.log(left)).ceil.clamp(1, most_fillings)
      end

      # Fillings that are tried before something else is.
      def most_fillings = Reference.new_steps.rounds.most_fillings
    end
  end
end
