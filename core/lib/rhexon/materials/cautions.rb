module Rhexon
  module Materials
    # Reminders for work that can hurt someone; they defer to labels, local codes and trained practice
    # (core/data/cautions.yml).
    module Cautions
      ABRASIONS = %w[sand level scuff].freeze

      module_function

      # @param kind [String] of the pass
      # @param product [Product, nil]
      # @param method [String, nil]
      # @return [Array<String>] sentences, the gravest first
      def for(kind, product, method)
        return [ table.dust ] if ABRASIONS.include?(kind)
        return [] unless product

        table.cautions
          .select { |row| fits?(row.fetch("when"), product, method) }
          .map { |row| row.fetch("text") }
      end

      def fits?(selector, product, method)
        facts = {
          "class" => product.class_id, "carrier" => product.carrier, "mechanism" => product.mechanism,
          "method" => method
        }
        selector.all? { |name, values| values.include?(facts.fetch(name)) }
      end
      private_class_method :fits?

      def table = Reference.cautions
      private_class_method :table
    end
  end
end
