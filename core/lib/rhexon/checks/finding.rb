module Rhexon
  module Checks
    # A judgement call about a schedule.
    # @!attribute id       [String] from the catalogue, e.g. "film.witness"
    # @!attribute level    [String] stop (would ruin the work), caution (often ends badly) or note
    # @!attribute title    [String] a few words
    # @!attribute sentence [String] what will happen and why, with figures
    # @!attribute step     [String, nil] step id it hangs on
    # @!attribute pass     [String, nil] pass key
    # @!attribute also     [Array<Also>, nil] what else it stands for, each with its pass and its sentence
    # @!attribute figures  [Hash] the numbers it used, units in the names
    # @!attribute remedies [Array<Remedy>] ready changes, best first; those that have to be planned first stand
    #   behind a callable (Ways), which is asked once somebody looks at them: nothing that is written waits for it
    # @!attribute ruling   [Judgement::Ruling, nil] where the shop or the schedule judges it otherwise
    Finding = Struct.new(:id, :level, :title, :sentence, :step, :pass, :also, :figures, :remedies, :ruling,
                         keyword_init: true) do
      # @return [Boolean] whether it is said of this pass
      def of?(pass) = self.pass ? passes.include?(pass.key) : step == pass.step["id"]

      # @return [Finding] with the sentence of this pass, where it stands for several
      def told_of(pass)
        other = also.to_a.find { |one| one.pass == pass.key } or return self
        dup.tap { |told| told.pass, told.sentence, told.also = other.pass, other.sentence, nil }
      end

      # @return [Array<String, nil>] keys of all passes it stands for
      def passes = [ pass, *also.to_a.map(&:pass) ]

      # @return [Boolean] whether its remedies have to be planned, and have not been yet
      def behind? = self[:remedies].respond_to?(:call)

      # @param passes [Integer, nil] how many may be planned for them (Proofs); nil: as many as it takes
      # @return [Finding] itself, with its remedies planned
      def look_behind!(passes: Proofs::PASSES)
        @ways = self[:remedies].call(passes) if behind?
        self[:remedies] = @ways.remedies if @ways
        self
      end

      def remedies = ways.reject(&:why_not)

      # @return [Integer] ways that were not tried
      def untried = @ways ? @ways.untried : 0

      # What one would think of, and why it does not work here.
      # @return [Array<Remedy>]
      def ruled_out = ways.select(&:why_not)

      def to_h
        super.merge(also: also.to_a.map(&:to_h), remedies: remedies.map(&:to_h), figures: figures || {},
                    ruling: ruling&.to_h)
      end

      private

      def ways
        look_behind!
        (self[:remedies] || []).compact
      end
    end

    # Where else a finding is found.
    Finding::Also = Struct.new(:pass, :sentence)
  end
end
