module Rhexon
  module Checks
    # What is found in the same way at several coats, steps or faces, told once with a list: one cause, one finding.
    # Their remedies are for all of them.
    class Alike
      # @param found [Array<Finding>]
      # @param document [Hash] of the schedule they stand against
      # @return [Array<Finding>] each where it stood first
      def self.once(found, document)
        found.group_by { |one| [ one.id, one.level, one.title, one.behind? || one.remedies.map(&:label) ] }.values
          .flat_map { |alike| new(alike, document).findings }
      end

      # @param alike [Array<Finding>]
      def initialize(alike, document)
        @alike = alike
        @document = document
      end

      # @return [Array<Finding>] the one, or all of them where no one edit would mend them together
      def findings
        return @alike if @alike.one? || @alike.any?(&:behind?) || !together?

        first = @alike.first
        first.also = @alike.drop(1).map { |one| Finding::Also.new(one.pass, one.sentence) }
        first[:remedies] = remedies + first.ruled_out
        [ first ]
      end

      private

      def remedies
        @remedies ||= @alike.flat_map(&:remedies).group_by(&:label).map do |label, same|
          operations = same.filter_map(&:operation).uniq
          operation = operations.one? ? operations.first : { "op" => "all", "operations" => operations }
          Remedy.new(label: label, operation: (operation if operations.any?), place: same.first.place)
        end
      end

      def together?
        remedies.filter_map(&:operation).each { |operation| Schedule::Edit.apply(@document, operation) }
      rescue InvalidInput
        false
      end
    end
  end
end
