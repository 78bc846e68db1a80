module Rhexon
  module Materials
    # Reminders for work that can hurt someone; they defer to labels, local codes and trained practice
    # (core/data/cautions.yml).
    module Cautions
      module_function

      # @param product [Product, nil]
      # @param method [String, nil]
      # @param kind [String, nil] of the work
      # @param way [String, nil] how it is done
      # @param dust [Boolean] it raises dust
      # @return [Array<String>] sentences, the gravest first
      def for(product, method, kind: nil, way: nil, dust: false)
        facts = {
          "class" => product&.class_id, "carrier" => product&.carrier, "mechanism" => product&.mechanism,
          "method" => method, "kind" => kind, "way" => way
        }
        said = table.cautions.select { |row| fits?(row.fetch("when"), facts) }.map { |row| row.fetch("text") }
        dust ? [ *said, table.dust ] : said
      end

      # What is too dangerous to be a step, whatever it is called.
      # @param product [Product]
      # @return [Hash, nil] "text" and what to take "instead"
      def refusal(product)
        said = product.to_h.values_at("name", "role", "notes", "hazards").join(" ")
        refused.find { |pattern, _| said.match?(pattern) }&.last
      end

      def refused = @refused ||= table.refused.map { |row| [ /#{row.fetch("words")}/i, row ] }.freeze
      private_class_method :refused

      def fits?(selector, facts)
        selector.all? { |name, values| values.include?(facts.fetch(name)) }
      end
      private_class_method :fits?

      def table = Reference.cautions
      private_class_method :table
    end
  end
end
