module Rhexon
  module Checks
    # A judgement call about a schedule.
    # @!attribute id       [String] from the catalogue, e.g. "film.witness"
    # @!attribute level    [String] stop (would ruin the work), caution (often ends badly) or note
    # @!attribute title    [String] a few words
    # @!attribute sentence [String] what will happen and why, with figures
    # @!attribute step     [String, nil] step id it hangs on
    # @!attribute pass     [String, nil] pass key
    # @!attribute figures  [Hash] the numbers it used, units in the names
    # @!attribute remedies [Array<Remedy>] ready changes, best first; those that have to be planned are given as a
    #   callable, which is asked once somebody looks at them: a list of late pieces needs none
    # @!attribute ruling   [Judgement::Ruling, nil] where the shop or the schedule judges it otherwise
    Finding = Struct.new(:id, :level, :title, :sentence, :step, :pass, :figures, :remedies, :ruling,
                         keyword_init: true) do
      def remedies = ways.reject(&:why_not)

      # What one would think of, and why it does not work here.
      # @return [Array<Remedy>]
      def ruled_out = ways.select(&:why_not)

      def to_h = super.merge(remedies: remedies.map(&:to_h), figures: figures || {}, ruling: ruling&.to_h)

      private

      def ways
        self[:remedies] = self[:remedies].call if self[:remedies].respond_to?(:call)
        (self[:remedies] || []).compact
      end
    end
  end
end
