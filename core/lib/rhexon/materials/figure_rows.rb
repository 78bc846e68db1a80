module Rhexon
  module Materials
    # A figure of several parts as rows of fields, and back to the one line in which CSV carries it: what a material is
    # mixed with, packs and prices, waits by what goes over. Each cell is a text as it is typed.
    module FigureRows
      # @!attribute kind     [String] number, text, choice or product
      # @!attribute choices  [Array<Array(String, String)>, nil] key and words of a choice
      # @!attribute optional [Boolean] may be left open where the others are filled
      Column = Struct.new(:words, :unit, :kind, :choices, :optional, keyword_init: true)

      NUMBER = /\A[-−]?\d[\d\s.,']*\z/
      # Of what stands in one line, these end a part of it.
      ENDS = /\s*[;:]\s*/

      module_function

      # @return [Boolean] shown as rows
      def rows?(figure) = COLUMNS.key?(figure["kind"])

      # @return [Boolean] there is one row, neither more nor fewer
      def single?(figure) = figure["kind"] == "range"

      # @return [Array<Column>]
      def columns(figure) = COLUMNS.fetch(figure["kind"]).call(figure)

      # @param value a figure of a record, nil where there is none
      # @return [Array<Array<String>>] a text for each column
      def rows(figure, value)
        return [] if value.nil?

        CELLS.fetch(figure["kind"]).call(value).map { |row| row.map { |cell| plain(cell) } }
      end

      # Rows with nothing typed in them are left out.
      # @param rows [Array<Array<String>>]
      # @return [String] the figure in one line, empty where no row holds anything
      # @raise [InvalidInput] names the figure, the row and the column
      def line(figure, rows)
        columns = columns(figure)
        filled = rows
          .map { |row| columns.each_index.map { |index| row[index].to_s.strip } }
          .each.with_index(1)
          .reject { |row, _| empty?(columns, row) }
        filled.each { |row, number| check(figure, columns, row, number) }
        LINES.fetch(figure["kind"]).call(filled.map { |row, _| columns.zip(row).map { |pair| cell(*pair) } })
      end

      def empty?(columns, row) = columns.zip(row).all? { |column, cell| column.kind == "choice" || cell.empty? }

      def check(figure, columns, row, number)
        columns.zip(row) do |column, cell|
          trouble = if cell.empty?
            next if column.optional

            "is missing"
          elsif column.kind == "number" && !cell(column, cell).match?(NUMBER)
            "#{cell.inspect} is no number"
          else
            next
          end
          raise(InvalidInput.new("#{figure["words"].capitalize}, row #{number}: #{column.words} #{trouble}",
                                 where: figure["path"], accepted: accepted(column)))
        end
      end

      def cell(column, typed)
        column.unit == "min" ? SheetTime.minutes(typed) : typed.gsub(ENDS, ", ")
      end

      def accepted(column)
        return "minutes, or a time such as 16 h or 7 d" if column.unit == "min"
        return "a number#{" #{column.unit}" if column.unit}" if column.kind == "number"

        column.kind == "product" ? "a product of the shelf" : column.words
      end

      def plain(cell) = cell.is_a?(Numeric) ? format("%.10g", cell) : cell.to_s

      def number(words, unit = nil, optional: false)
        Column.new(words: words, unit: unit, kind: "number", optional: optional)
      end

      def choice(words, choices, optional: false)
        Column.new(words: words, kind: "choice", choices: choices, optional: optional)
      end

      def spaced(words) = words.map { |word| [ word, word.tr("_", " ") ] }

      COLUMNS = {
        "range" => ->(figure) { %w[from to].map { |words| number(words, figure["unit"]) } },
        "mix" => ->(_) {
          [ Column.new(words: "component", kind: "product"), number("parts"),
            choice("by", [ %w[volume volume], %w[mass mass] ]),
            choice("parts to 100 of", [ [ "base", "the base" ], [ "total", "the whole" ] ]),
            number("at least", optional: true), number("at most", optional: true) ]
        },
        "steps" => ->(_) {
          [ choice("after", [ [ "", "all is in" ], [ "hardener", "the hardener" ], [ "thinner", "the thinner" ] ],
                   optional: true),
            Column.new(words: "what to do", kind: "text"), number("for", "min", optional: true) ]
        },
        "pairs" => ->(figure) {
          [ number(figure["at"]), number(figure["unit"] == "min" ? "time" : "reading", figure["unit"]) ]
        },
        "waits" => ->(figure) { [ choice("under", spaced(Pairs.names)), number("recoat opens", figure["unit"]) ] },
        "methods" => ->(figure) {
          [ choice("method", Methods::DONE.to_a), choice("time", spaced(Product::MILESTONES.first(9))),
            number("after", figure["unit"]) ]
        },
        "packs" => ->(_) {
          [ number("holds"), choice("in", %w[ml l g kg gal oz lb].map { |unit| [ unit, unit ] }),
            number("price", optional: true) ]
        }
      }.freeze

      CELLS = {
        "range" => ->(value) { [ value ] },
        "mix" => ->(value) {
          value.map { |part|
            [ part["product"], part["parts"], part["basis"] || "volume", part["of"] || "base",
              *(part["range"] || [ "", "" ]) ]
          }
        },
        "steps" => ->(value) {
          value.map { |step| [ step["after"], step["do"], (step["min"] if step["min"].to_f.positive?) ] }
        },
        "pairs" => ->(value) { value },
        "waits" => ->(value) { value.to_a },
        "methods" => ->(value) { value.flat_map { |method, times| times.map { |time| [ method, *time ] } } },
        "packs" => ->(value) {
          value.map { |pack| [ pack["g"] || pack["ml"], pack["g"] ? "g" : "ml", pack["price"] ] }
        }
      }.freeze

      LINES = {
        "range" => ->(rows) { rows.map { |from, to| "#{from} to #{to}" }.first.to_s },
        "mix" => ->(rows) {
          rows.map { |product, parts, basis, of, least, most|
            range = [ least, most ].map { |bound|
              bound.empty? ? parts : bound
            }.join(" to ") unless (least + most).empty?
            [ product, parts, basis, ("of the total" if of == "total"), range ].compact.join(" ")
          }.join("; ")
        },
        "steps" => ->(rows) {
          rows.map { |after, what, minutes|
            "#{"#{after}: " unless after.empty?}#{what}#{", #{minutes} min" unless minutes.empty?}"
          }.join("; ")
        },
        "pairs" => ->(rows) { rows.map { |at, value| "#{at}: #{value}" }.join("; ") },
        "waits" => ->(rows) { rows.map { |name, minutes| "#{name}: #{minutes}" }.join("; ") },
        "methods" => ->(rows) {
          rows.group_by(&:first)
            .map { |method, times| "#{method}: #{times.map { |_, name, minutes| "#{name} #{minutes}" }.join(", ")}" }
            .join("; ")
        },
        "packs" => ->(rows) { rows.map { |row| row.join(" ").strip }.join("; ") }
      }.freeze
    end
  end
end
