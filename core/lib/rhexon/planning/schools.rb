module Rhexon
  module Planning
    # Where finishers disagree (core/data/schools.yml): what is done where neither the shop nor a schedule says
    # otherwise, and what may be said.
    module Schools
      module_function

      # @return [Hash{String=>Object}] rule => what is done where nobody says anything
      def defaults = @defaults ||= table.to_h { |name, school| [ name, values(school).first ] }.compact.freeze

      # @return [Array<String, Integer, nil>] what a rule may be; nil: not said
      def options(name) = values(table.fetch(name))

      # @return [Array<String>] rules for the whole shop only
      def of_the_shop = table.select { |_, school| school["shop"] }.keys

      # @return [Array<String>]
      def names = table.keys

      def values(school)
        school["options"].keys.map { |option| school["number"] ? Integer(option, exception: false) : option }
      end
      private_class_method :values

      def table = Reference.schools.schools
      private_class_method :table
    end
  end
end
