require "csv"

# A logger's CSV: time, temperature and humidity, averaged by the hour and kept as readings of a room.
class LoggerFile
  MOST_ROWS = 200_000
  COLUMNS = { at: /\A(time|date|datetime|zeit|timestamp|at)\b/i, t_c: /\A(t_?c|temp)/i, rh: /\A(rh|hum|feuchte|r\.?h)/i }.freeze

  Report = Struct.new(:hours, :refused, :from, :to, keyword_init: true)

  # @param room [Room]
  # @param bytes [String]
  # @return [Report]
  # @raise [Rhexon::Refusal]
  def self.read!(room, bytes)
    text = ProductFile.utf8(bytes).delete_prefix("\uFEFF")
    rows, refused = new(text).rows
    raise Rhexon::Refusal.new("No row of the file could be read#{": #{refused.first[:sentence]}" if refused.any?}", where: "file", accepted: "a time, °C and % RH in each row") if rows.empty?

    hours = rows.group_by { |row| row[:at].beginning_of_hour }.map do |hour, found|
      { room_id: room.id, at: hour, until: hour + 1.hour, kind: "logger", t_c: found.sum { |row| row[:t_c] } / found.size, rh: found.sum { |row| row[:rh] } / found.size, air: room.air, created_at: Time.current }
    end
    ClimateReading.upsert_all(hours, unique_by: %i[room_id kind at])
    Report.new(hours: hours.size, refused: refused, from: rows.map { |row| row[:at] }.min, to: rows.map { |row| row[:at] }.max)
  end

  def initialize(text)
    @text = text
  end

  # @return [Array(Array<Hash>, Array<Hash>)] sound rows, and refused ones with their reason
  def rows
    separator = [ ",", ";", "\t" ].max_by { |candidate| @text.lines.first.to_s.count(candidate) }
    table = CSV.parse(@text, headers: true, col_sep: separator, liberal_parsing: true, skip_blanks: true)
    Rhexon.refuse_unless(table.size <= MOST_ROWS, "The file has #{table.size} rows", where: "file", accepted: "up to #{MOST_ROWS}")
    names = COLUMNS.transform_values { |pattern| table.headers.compact.find { |header| header.strip.match?(pattern) } }
    missing = names.select { |_, header| header.nil? }.keys
    Rhexon.refuse_unless(missing.empty?, "The file lacks #{missing.map { |name| { at: "a time", t_c: "a temperature", rh: "a humidity" }.fetch(name) }.to_sentence}", where: "row 1", accepted: "columns such as time, t_c, rh")
    sound = table.each_with_index.map { |cells, index| row(cells, names, index + 2) }
    sound.partition { |found| found[:at] }.then { |good, bad| [ good, bad ] }
  rescue CSV::MalformedCSVError => error
    raise Rhexon::Refusal.new("The file is not CSV: #{error.message.first(120)}", where: "file")
  end

  private

  def row(cells, names, number)
    at = Time.find_zone(Shop.current.zone).parse(cells[names[:at]].to_s)
    t_c, rh = %i[t_c rh].map { |name| Float(cells[names[name]].to_s.strip.tr(",", "."), exception: false) }
    return { row: number, sentence: "#{cells[names[:at]].inspect} is no time within ten years" } unless at && Rhexon::Planning::Zone.near?(at.to_i / 60, Time.current.to_i / 60)
    return { row: number, sentence: "#{cells[names[:t_c]].inspect} °C, #{cells[names[:rh]].inspect} % cannot be" } unless t_c&.between?(-20, 60) && rh&.between?(1, 100)

    { at: at, t_c: t_c, rh: rh }
  rescue ArgumentError
    { row: number, sentence: "#{cells[names[:at]].inspect} is no time" }
  end
end
