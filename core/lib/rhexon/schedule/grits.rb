module Rhexon
  module Schedule
    # Grits as they are typed: a number alone is on the scale of the shop, and a document always names the scale.
    module Grits
      FIELDS = %w[grits scuff_with].freeze
      private_constant :FIELDS

      module_function

      # @param operation [Hash] of {Edit}
      # @param numbers [String] scale of a number alone: P or cami
      # @return [Hash] the same with every grit on its scale; what is none is left for the check to refuse
      def scaled(operation, numbers)
        operation.to_h do |name, value|
          case name
          when "operations" then [ name, value.is_a?(Array) ? value.map { |one| inner(one, numbers) } : value ]
          when "step", "set" then [ name, value.is_a?(Hash) ? fields(value, numbers) : value ]
          else [ name, value ]
          end
        end
      end

      def inner(operation, numbers) = operation.is_a?(Hash) ? scaled(operation, numbers) : operation

      def fields(step, numbers)
        step.to_h do |name, value|
          next [ name, value ] unless FIELDS.include?(name)

          [ name, value.is_a?(Array) ? value.map { |one| written(one, numbers) } : written(value, numbers) ]
        end
      end

      def written(grit, numbers)
        grit.is_a?(String) ? Prep::Abrasive.read(grit, bare: numbers).to_s : grit
      rescue InvalidInput
        grit
      end
      private_class_method :inner, :fields, :written
    end
  end
end
