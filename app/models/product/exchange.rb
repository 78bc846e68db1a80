require "csv"

# Products as CSV or JSON, out and in. What comes in is looked at row by row: sound rows are kept, the others told
# with their reason.
class Product::Exchange
  IDENTITY = %w[code maker name class role colour].freeze
  NEEDED = %w[maker name class].freeze
  MOST_ROWS = 2_000
  # A cell may hold line ends: so many lines count as a row before the file is read.
  LINES_A_ROW = 20
  MOST_BYTES = 20.megabytes
  # A cell that a spreadsheet would run.

  # @!attribute refused [Array<Hash>] {row:, name:, sentence:}
  Report = Struct.new(:created, :updated, :same, :refused, :ignored, keyword_init: true)

  class << self
    def columns = IDENTITY + Rhexon::Materials::ProductFigures.paths

    # @return [String] CSV in UTF-8, safe to open in a spreadsheet
    def to_csv(products)
      CSV.generate { |csv|
        [ columns, *products.map { |product|
          row(product)
        } ].each { |cells| csv << cells }
      }.prepend("\uFEFF")
    end

    # @return [String] the products as rhexon-shop/1 has them
    def to_json(products) = JSON.pretty_generate("format" => "rhexon-products/1", "products" => products.map(&:to_core))

    # @param bytes [String] of the file
    # @return [Report]
    # @raise [Rhexon::InvalidInput] when no row can be read
    def read(bytes)
      Rhexon.refuse_unless(bytes.bytesize <= MOST_BYTES, "The file has #{bytes.bytesize / 1.megabyte} MB",
                           where: "file", accepted: "up to #{MOST_BYTES / 1.megabyte} MB")
      text = utf8(bytes).delete_prefix("\uFEFF")
      Rhexon.refuse_unless(
        text.strip.present?, "The file is empty", where: "file", accepted: "CSV or JSON with products"
      )
      text.lstrip.start_with?("{", "[") ? read_json(text) : read_csv(text)
    end

    # UTF-8, with or without mark, UTF-16 with one, or what Western spreadsheets write.
    def utf8(bytes)
      raw = bytes.dup.force_encoding(Encoding::BINARY)
      return raw[2..].force_encoding("UTF-16LE").encode("UTF-8") if raw.start_with?("\xFF\xFE".b)
      return raw[2..].force_encoding("UTF-16BE").encode("UTF-8") if raw.start_with?("\xFE\xFF".b)

      text = bytes.dup.force_encoding("UTF-8")
      text = bytes.dup.force_encoding("Windows-1252").encode("UTF-8") unless text.valid_encoding?
      Rhexon.refuse_unless(text.exclude?("\0"), "The file is not text", where: "file", accepted: "CSV or JSON in UTF-8")
      text
    rescue EncodingError
      raise Rhexon::InvalidInput.new(
        "The file's letters cannot be read", where: "file", accepted: "CSV or JSON in UTF-8"
      )
    end

    private

    def row(product)
      written = Rhexon::Materials::ProductFigures.new(product.to_value).written
      [
        product.code, product.maker, product.name, product.kind, product.role, product.colour,
        *Rhexon::Materials::ProductFigures.paths.map { |path| written[path] }
      ].map { |cell| Spreadsheet.harmless(cell) }
    end

    def table_of(text)
      separator = [ ",", ";", "\t" ].max_by { |candidate| text.lines.first.count(candidate) }
      CSV.parse(text, headers: true, col_sep: separator, liberal_parsing: true, skip_blanks: true,
                      header_converters: ->(name) { name.to_s.strip.delete_prefix("'") })
    end

    def read_csv(text)
      lines = text.count("\n")
      few!(lines - 1) if lines > MOST_ROWS * LINES_A_ROW
      table = table_of(text)
      headers = table.headers.compact
      missing = NEEDED - headers
      Rhexon.refuse_unless(
        missing.empty?, "The file lacks the #{missing.one? ? "column" : "columns"} #{missing.join(", ")}",
        where: "row 1", accepted: "a first row with #{NEEDED.join(", ")} and any of the columns an export has"
      )
      few!(table.size)
      rows = table.each_with_index.map do |cells, index|
        [ index + 2, cells.to_h.transform_values { |cell| Spreadsheet.bare(cell) } ]
      end
      keep(rows, headers - columns)
    rescue CSV::MalformedCSVError => error
      raise Rhexon::InvalidInput.new(
        "The file is not CSV: #{error.message.first(120)}", where: "file",
        accepted: "CSV with a first row of column names"
      )
    end

    def read_json(text)
      parsed = JSON.parse(text)
      records = parsed.is_a?(Hash) ? parsed["products"] : parsed
      Rhexon.refuse_unless(
        records.is_a?(Array) && records.all?(Hash), "The file holds no products", where: "file",
        accepted: "{\"products\": [...]}"
      )
      few!(records.size)
      keep(
        records.each_with_index.map do |record, index|
          [
            index + 1,
            {
              **record, "code" => record["id"], "name" => record["name"].to_s.delete_prefix("#{record["maker"]} "),
              "json" => true
            }
          ]
        end,
        []
      )
    rescue JSON::ParserError => error
      raise Rhexon::InvalidInput.new("The file is not JSON: #{error.message.lines.first.strip.first(120)}",
                                     where: "file")
    end

    def few!(count)
      Rhexon.refuse_unless(
        count <= MOST_ROWS, "The file has #{count} rows, nothing was read", where: "file",
        accepted: "up to #{MOST_ROWS} products at once"
      )
    end

    def keep(rows, ignored)
      report = Report.new(created: [], updated: [], same: [], refused: [], ignored: ignored)
      seen = {}
      Product.transaction { rows.each { |number, cells| keep_row(number, cells, seen, report) } }
      report
    end

    def keep_row(number, cells, seen, report)
      name = "#{cells["maker"]} #{cells["name"]}".strip
      raise Rhexon::InvalidInput.new("#{name} stands in row #{seen[name]} already",
                                     where: "row #{number}") if seen[name]

      seen[name] = number
      product = product_of(cells)
      fate = if product.new_record?
        :created
      else
        (product.changed? ? :updated : :same)
      end
      raise Rhexon::InvalidInput.new(product.errors.map(&:message).join(" "),
                                     where: "row #{number}") unless product.save

      report[fate] << product.full_name
    rescue Rhexon::InvalidInput => refusal
      report.refused << { row: number, name: name.presence || "a row without a name", sentence: refusal.message }
    end

    # Without the mark that keeps a spreadsheet from reckoning with it.

    def known_or_new(cells)
      (cells["code"].present? && Product.find_by(code: cells["code"])) ||
        Product.find_by(maker: cells["maker"], name: cells["name"]) || Product.new
    end

    def figures_of(cells, product)
      return cells.except("id", "json", *IDENTITY) if cells["json"]

      written(cells.slice(*Rhexon::Materials::ProductFigures.paths), product)
    end

    def product_of(cells)
      product = known_or_new(cells)
      if NEEDED.any? { |field| cells[field].blank? }
        raise Rhexon::InvalidInput.new("Maker, name and class are needed", where: "name")
      end

      product.assign_attributes(
        maker: cells["maker"], name: cells["name"], kind: cells["class"],
        role: cells["role"].presence || product.role || "top coat",
        colour: cells["colour"].presence || product.colour || "clear", figures: figures_of(cells, product)
      )
      product.code = cells["code"].presence || product.code || Product.free_code(product.name)
      product
    end

    # A line that says what the record says leaves the record alone.
    def written(lines, product)
      before = product.new_record? ? {} : Rhexon::Materials::ProductFigures.new(product.to_value).written
      Rhexon::Materials::ProductFigures.read(lines.reject { |path, text| text == before[path] }, product.figures)
    end
  end
end
