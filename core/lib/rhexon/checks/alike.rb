module Rhexon
  module Checks
    # What is found in the same way at several coats, steps or faces, told once with a list: one cause, one finding.
    # Their remedies are for all of them.
    class Alike
      STEP_ID = /\As\d+[a-z]?\z/
      IDS = %w[id after new_id].freeze
      private_constant :STEP_ID, :IDS

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
          operations = one_after_the_other(same.filter_map(&:operation).uniq)
          operation = operations.one? ? operations.first : { "op" => "all", "operations" => operations }
          Remedy.new(label: label, operation: (operation if operations.any?), place: same.first.place)
        end
      end

      # Each was made for the schedule by itself: steps that they add get ids that are still free.
      # @raise [InvalidInput] where one cannot follow the other
      def one_after_the_other(operations)
        first, so_far = number(Schedule::Edit.free_id(@document)), @document
        operations.map do |operation|
          shift = number(Schedule::Edit.free_id(so_far)) - first
          renamed(operation, first, shift).tap { |one| so_far = Schedule::Edit.apply(so_far, one) }
        end
      end

      def renamed(part, first, shift)
        case part
        when Hash then part.to_h { |name, value|
          [ name, IDS.include?(name) ? moved(value, first, shift) : renamed(value, first, shift) ]
        }
        when Array then part.map { |value| renamed(value, first, shift) }
        else part
        end
      end

      def moved(id, first, shift)
        return id unless STEP_ID.match?(id.to_s) && number(id) >= first

        id.sub(/\d+/) { |digits| (digits.to_i + shift).to_s }
      end

      def number(id) = id[/\d+/].to_i

      def together?
        !remedies.nil?
      rescue InvalidInput
        false
      end
    end
  end
end
