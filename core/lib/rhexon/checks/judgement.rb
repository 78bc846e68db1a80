module Rhexon
  module Checks
    # Findings as this shop or schedule judges them: a check may be raised, lowered or silent, with a reason that is
    # kept and shown. What can hurt someone, and what says that no date can be given, stays as it is.
    module Judgement
      SILENT = "silent"
      # Why a finding has another level than usual.
      # @!attribute was    [String] level it would have
      # @!attribute as     [String] level it has, or silent
      # @!attribute reason [String]
      # @!attribute by     [String] schedule or shop
      Ruling = Struct.new(:was, :as, :reason, :by, keyword_init: true)

      module_function

      # @param id [String] of a check
      # @return [Boolean]
      def open?(id) = !id.start_with?("safety.") && !FIXED.include?(id)

      FIXED = %w[time.due time.wipe_off time.level_window].freeze
      private_constant :FIXED

      # @param finding [Finding]
      # @param piece [Planning::Piece]
      # @return [Finding]
      def of(finding, piece)
        said = piece.house["checks"][finding.id]
        return finding unless said && open?(finding.id)

        by = piece.schedule.dig("house", "checks", finding.id) ? "schedule" : "shop"
        ruling = Ruling.new(was: finding.level, as: said["as"], reason: said["reason"], by: by).freeze
        finding.dup.tap do |judged|
          judged.level = said["as"] unless said["as"] == SILENT
          judged.ruling = ruling
        end
      end

      # @return [Boolean]
      def silent?(finding) = finding.ruling&.as == SILENT
    end
  end
end
