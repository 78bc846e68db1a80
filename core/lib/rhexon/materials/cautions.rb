module Rhexon
  module Materials
    # Reminders for work that can hurt someone; they defer to labels, local codes and trained practice
    # (core/data/cautions.yml).
    module Cautions
      # @!attribute id   [String] by which it is acknowledged
      # @!attribute name [String] in a word or two: "self-heating rags"
      # @!attribute text [String] what, why and what decides
      Caution = Struct.new(:id, :name, :text, keyword_init: true)

      module_function

      # @param product [Product, nil]
      # @param method [String, nil]
      # @param work [Hash] what is known of the work: :kind, :way, and of its surroundings :dust (it raises dust), :into
      #   (Array of Product that is left on the face and has not cured, where dust is made of it), :booth (Array of
      #   Product sprayed in the same room these days), :silica (the dust is of wood that holds it), :old_paint (it is
      #   of a finish that was there before and may be paint)
      # @return [Array<Caution>] the gravest first
      def for(product, method, **work)
        facts = { **of(product), "method" => method, "kind" => work[:kind], "way" => work[:way] }
        said = said(product)
        rows = table.cautions.select { |row| named?(row, said) && applies?(row, facts, work) }
        rows.map { |row| kept(row) }.uniq(&:text)
      end

      # What is too dangerous to be a step, whatever it is called.
      # @param product [Product]
      # @return [Hash, nil] "text" and what to take "instead"
      def refusal(product)
        said = said(product)
        refused.find { |pattern, _| said.match?(pattern) }&.last
      end

      # @return [String] all that a shelf says of it in words
      def said(product) = product ? product.to_h.values_at("name", "role", "notes", "hazards").join(" ") : ""

      def named?(row, said)
        row["words"].nil? || said.match?((@words ||= {})[row["words"]] ||= /#{row["words"]}/i)
      end
      private_class_method :said, :named?

      # @return [Boolean] its rags, and dust of it, heat themselves
      def self_heating?(product)
        table.cautions.any? { |row| row["id"] == "self_heating_rags" && fits?(row["when"], of(product)) }
      end

      # @return [Array<String>] ids that can be acknowledged
      def ids = table.cautions.map { |row| row["id"] }.uniq

      def refused = @refused ||= table.refused.map { |row| [ /#{row.fetch("words")}/i, row ] }.freeze
      private_class_method :refused

      def of(product)
        { "class" => product&.class_id, "carrier" => product&.carrier, "mechanism" => product&.mechanism }
      end
      private_class_method :of

      def applies?(row, facts, work)
        return false unless fits?(row["when"] || {}, facts)
        return false unless %w[dust silica old_paint].all? { |what| !row[what] || work[what.to_sym] }

        meets?(row["into"], work[:into]) && meets?(row["booth"], work[:booth])
      end
      private_class_method :applies?

      # @return [Boolean] nothing is asked of them, or one of them fits
      def meets?(selector, products) = selector.nil? || (products || []).any? { |product| fits?(selector, of(product)) }
      private_class_method :meets?

      def fits?(selector, facts)
        selector.all? { |name, values| values.include?(facts[name]) }
      end
      private_class_method :fits?

      def kept(row)
        (@kept ||= {})[row["text"]] ||= Caution.new(id: row["id"], name: row["name"], text: row["text"]).freeze
      end
      private_class_method :kept

      def table = Reference.cautions
      private_class_method :table
    end
  end
end
