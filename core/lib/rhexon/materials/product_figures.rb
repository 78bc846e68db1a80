require "json"

module Rhexon
  module Materials
    # A product record as lines of text, one a figure, and back: what the product page shows, its form edits and CSV
    # carries.
    # The list of figures is core/data/figures.yml.
    class ProductFigures
      # @!attribute value  [String] as written; empty when there is none
      # @!attribute state  [String] given, default (of the class, an estimate) or missing
      # @!attribute source [String, nil]
      # @!attribute columns, rows [Array, nil] the same as {FigureRows}, where it has several parts
      Line = Struct.new(:path, :words, :unit, :kind, :value, :state, :source, :choices, :columns, :rows,
                        keyword_init: true)
      Group = Struct.new(:name, :lines, keyword_init: true)
      class << self
        # @return [Array<Hash>] every figure of the list
        def figures = @figures ||= table.groups.flat_map { |group| group.fetch("figures") }.freeze
        def paths = figures.map { |figure| figure.fetch("path") }
        def table = Reference.figures

        # The figures of a record from written lines. A line left empty takes the figure away.
        # @param written [Hash{String=>String, Array<Array<String>>}] by path, in one line or as {FigureRows}; paths
        #   left out stay as they were
        # @param before [Hash] figures so far
        # @return [Hash] figures
        # @raise [InvalidInput] names the line, and what is accepted
        def read(written, before = {})
          figures.each_with_object(JSON.parse(JSON.generate(before))) do |figure, record|
            next unless written.key?(figure["path"])

            set(record, figure["path"].split("."), FigureLine.read(figure, line(figure, written[figure["path"]])))
          end
        end

        private

        # Rows of fields in the one line that CSV has for them.
        def line(figure, typed)
          typed.is_a?(Array) && FigureRows.rows?(figure) ? FigureRows.line(figure, typed) : typed.to_s.strip
        end

        def set(record, path, value)
          *parents, last = path
          inner = parents.inject(record) { |hash, name| hash[name] ||= {} }
          if value.nil?
            inner.delete(last)
          else
            inner[last] = (value == :none ? nil : value)
          end
          record.delete(parents.first) if parents.any? && inner.empty?
        end
      end

      # @param product [Product]
      def initialize(product)
        @product = product
        @record = product.to_h
        @defaults = Reference.classes.classes.fetch(product.class_id)
      end

      # @return [Array<Group>]
      def groups
        self.class.table.groups.map do |group|
          Group.new(name: group["name"], lines: group["figures"].map { |figure| line(figure) })
        end
      end

      # Figures that matter for planning and have neither a value of their own nor one of the class.
      # @return [Array<Line>]
      def gaps = groups.flat_map(&:lines).select { |line| line.state == "missing" && wanted?(line.path) }

      # @return [Hash{String=>String}] what is given, as written
      def written = self.class.figures.to_h { |figure| [ figure["path"], written_value(figure) ] }

      private

      def line(figure)
        path = figure["path"]
        given = given?(path)
        value = dig(given ? @record : @defaults, path)
        state = if given
          "given"
        else
          value.nil? ? "missing" : "default"
        end
        Line.new(
          path: path, words: figure["words"], unit: figure["unit"], kind: figure["kind"], choices: figure["choices"],
          value: given ? written_value(figure) : FigureLine.write(figure, value), state: state,
          source: source(path, state), **parts(figure, value)
        )
      end

      def parts(figure, value)
        return {} unless FigureRows.rows?(figure)

        { columns: FigureRows.columns(figure).map(&:to_h), rows: FigureRows.rows(figure, value) }
      end

      def source(path, state)
        case state
        when "given" then @record.dig("sources", path) || @record["source"] || "given with the product"
        when "default" then Reference.classes.source
        end
      end

      def written_value(figure)
        return "" unless given?(figure["path"])

        value = dig(@record, figure["path"])
        value.nil? ? FigureLine::NONE : FigureLine.write(figure, value)
      end

      def given?(path)
        *parents, last = path.split(".")
        inner = parents.inject(@record) { |hash, name| hash.is_a?(Hash) ? hash[name] : nil }
        inner.is_a?(Hash) && inner.key?(last)
      end

      def dig(record, path) = path.split(".").inject(record) { |hash, name| hash.is_a?(Hash) ? hash[name] : nil }

      # A film needs a density to be weighed and packs to be bought; a helper too.
      def wanted?(path)
        return path == "mix" && @product.pot_life_min&.value if path == "mix"

        %w[packs source].include?(path) || (path == "density_g_per_ml")
      end
    end
  end
end
