module Rhexon
  module Proposals
    # How often something is gone over until it looks right, by reckoning.
    module Rounds
      # Fillings that are tried before something else is.
      MOST_FILLINGS = 4

      module_function

      # How often pores are filled until they are closed, the first time included.
      # @param filled [Numeric] share that is full already
      # @return [Integer]
      def fillings(filled = 0.0)
        rule = Reference.film.filler
        left = 1 - rule.fills * (1 - rule.loses)
        times = Math.log((1 - Reference.film.pore_words.last.last) / (1 - [ filled, 0.89 ].min)) / Math.log(left)
        times.ceil.clamp(1, MOST_FILLINGS)
      end
    end
  end
end
