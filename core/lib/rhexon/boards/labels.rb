module Rhexon
  module Boards
    # Cells in words, runs of them taken together: "all", "1 to 4, base, strip 2 to 6".
    module Labels
      NUMBERED = /\A(?<name>.*?)(?<number>\d+)\z/

      module_function

      # @param labels [Array<String>] in the order of the board
      # @param all [Array<String>] of the board
      # @return [String]
      def joined(labels, all)
        return "all" if labels.size > 1 && labels.size == all.size

        labels.chunk_while { |one, other| follows?(one, other) }
          .map { |run| run.size > 2 ? "#{run.first} to #{run.last[NUMBERED, "number"]}" : run.join(", ") }
          .join(", ")
      end

      def follows?(one, other)
        one, other = NUMBERED.match(one), NUMBERED.match(other)
        one && other && one["name"] == other["name"] && other["number"].to_i == one["number"].to_i + 1
      end
      private_class_method :follows?
    end
  end
end
