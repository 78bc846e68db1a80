module Rhexon
  module Diagnosis
    # The likely causes of a fault, in the order of what speaks for them: first what is known of that hour or answered
    # by the hand, then what cannot be told, and last what the evidence speaks against.
    class Ranking
      # @!attribute says  [String] the cause
      # @!attribute told  [String] for, open or against
      # @!attribute words [String, nil] what speaks for it or against it
      # @!attribute asks  [String, nil] the question that would tell, where it is to be asked
      Cause = Struct.new(:says, :told, :words, :asks, keyword_init: true)
      ORDER = %w[for open against].freeze

      # @param fault [Faults::Fault]
      # @param evidence [Evidence]
      # @param answers [Hash{String=>Boolean}] cause => what the hand said
      def initialize(fault, evidence, answers = {})
        @fault = fault
        @evidence = evidence
        @answers = answers.slice(*fault.causes)
      end

      # @return [Array<Cause>] at most three of them ask
      def causes
        ranked = @fault.causes_of(@evidence.method).map { |cause|
          told(cause)
        }.sort_by.with_index { |one, at| [ ORDER.index(one.told), one.asks ? 0 : 1, at ] }
        asked = 0
        ranked.map do |one|
          asked += 1 if one.asks
          (asked > most ? one.dup.tap { |silent| silent.asks = nil } : one).freeze
        end
      end

      private

      # Those that were answered are among them.
      def most = [ Reference.faults.evidence.most_questions - @answers.size, 0 ].max

      def told(cause)
        says, name, asks = cause.values_at("says", "shown_by", "asks")
        answer = @answers[says]
        return Cause.new(says: says, told: answer ? "for" : "against", words: "as you say") unless answer.nil?

        said = name ? @evidence.of(name) : Evidence::NOTHING
        told = said.for.nil? ? "open" : (said.for && "for") || "against"
        Cause.new(says: says, told: told, words: said.words, asks: (asks if told == "open"))
      end
    end
  end
end
