module Rhexon
  module Boards
    # Whether a look that was approved is still the look that is planned.
    module Approved
      # What may change without changing the look: when, where and by whom.
      OF_THE_CLOCK = %w[pins room dry_room tool].freeze

      module_function

      # @param approved [Hash] schedule document as it was approved
      # @param planned [Hash] as it is now
      # @return [Boolean]
      def stale?(approved, planned) = looks(approved) != looks(planned)

      def looks(document)
        document["steps"].reject { |step| Work::Steps.idle?(step) }.map { |step| step.except(*OF_THE_CLOCK) }
      end

      private_class_method :looks
    end
  end
end
