module Rhexon
  module Systems
    # A look as it is written on a job sheet, "satin, warm brown, open pore", as fields of a wish.
    module LookWords
      module_function

      # @param text [String, nil]
      # @return [Hash] of rhexon-wish/1: "sheen", "pores", "opaque", "pale", "lab", each where a word says it
      def read(text)
        said = " #{text.to_s.downcase.gsub(/[^[:alpha:]-]+/, " ")} "
        hides = any?(said, words.opaque)
        lab = colour(said) unless hides
        { "sheen" => longest(said, words.sheen), "pores" => longest(said, words.pores), "opaque" => (true if hides),
          "pale" => (true if !hides && lab.nil? && any?(said, words.pale)), "lab" => lab }.compact
      end

      # The shifts that are named move the colour that is named.
      def colour(said)
        named = longest(said, words.colours) or return
        words.shifts.to_h.select { |word, _| said.include?(" #{word} ") }.values
          .reduce(named) { |lab, shift| lab.zip(shift).map(&:sum) }
      end

      def longest(said, table)
        table.to_h.select { |word, _| said.include?(" #{word} ") }.max_by { |word, _| word.to_s.length }&.last
      end

      def any?(said, list) = list.any? { |word| said.include?(" #{word} ") }
      def words = Reference.systems.words
      private_class_method :colour, :longest, :any?, :words
    end
  end
end
