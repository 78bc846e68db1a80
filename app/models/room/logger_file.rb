require "csv"

# A logger's CSV: time, temperature and humidity, averaged by the hour and kept as readings of a room.
class Room::LoggerFile
  MOST_ROWS = 200_000
  COLUMNS = {
    at: /\A(time|date|datetime|zeit|timestamp|at)\b/i, t_c: /\A(t_?c|temp)/i, rh: /\A(rh|hum|feuchte|r\.?h)/i
  }.freeze

  # Hours kept with one statement.
  SLICE = 1_000
  # Refused rows that are remembered for the report.
  TOLD = 50

  # @!attribute refused [Array<Hash>] the first rows that could not be read, each with its reason
  # @!attribute refused_rows [Integer] all of them
  Report = Struct.new(:hours, :refused, :refused_rows, :from, :to, keyword_init: true)
  # What the rows of an hour come to.
  Hour = Struct.new(:t_c, :rh, :rows)

  # @param room [Room]
  # @param bytes [String]
  # @return [Report]
  # @raise [Rhexon::InvalidInput]
  def self.read!(room, bytes)
    most = Product::Exchange::MOST_BYTES
    Rhexon.refuse_unless(bytes.bytesize <= most, "The file has #{bytes.bytesize / 1.megabyte} MB", where: "file",
                         accepted: "up to #{most / 1.megabyte} MB")
    new(Product::Exchange.utf8(bytes).delete_prefix("\uFEFF")).keep!(room)
  end

  def initialize(text)
    @text = text
    @hours = {}
    @refused = []
    @refused_rows = 0
    @zone = Time.find_zone(Shop.current.zone)
    @now = Time.current.to_i / 60
  end

  # @return [Report]
  def keep!(room)
    read
    Rhexon.refuse_unless(@hours.any?,
                         "No row of the file could be read#{": #{@refused.first[:sentence]}" if @refused.any?}",
                         where: "file", accepted: "a time, °C and % RH in each row")
    written = Time.current
    @hours.each_slice(SLICE) do |slice|
      ClimateReading.upsert_all(
        slice.map do |at, hour|
          {
            room_id: room.id, at: at, until: at + 1.hour, kind: "logger", t_c: hour.t_c / hour.rows,
            rh: hour.rh / hour.rows, air: room.air, created_at: written
          }
        end,
        unique_by: %i[room_id kind at]
      )
    end
    Report.new(hours: @hours.size, refused: @refused, refused_rows: @refused_rows, from: @hours.keys.min,
               to: @hours.keys.max)
  end

  private

  # Row by row: the file is counted before it is read, and no more of it is held than its hours.
  def read
    lines = @text.count("\n")
    Rhexon.refuse_unless(
      lines <= MOST_ROWS, "The file has #{lines} rows", where: "file", accepted: "up to #{MOST_ROWS}"
    )
    first = @text.each_line.find { |line| line.strip != "" }.to_s
    separator = [ ",", ";", "\t" ].max_by { |candidate| first.count(candidate) }
    csv = CSV.new(@text, col_sep: separator, liberal_parsing: true, skip_blanks: true)
    places = columns(csv.shift || [])
    number = 1
    while (cells = csv.shift)
      number += 1
      add(number, *places.map { |place| cells[place] })
    end
  rescue CSV::MalformedCSVError => error
    raise Rhexon::InvalidInput.new("The file is not CSV: #{error.message.first(120)}", where: "file")
  end

  # @return [Array<Integer>] where time, temperature and humidity stand
  def columns(headers)
    places = COLUMNS.transform_values { |pattern| headers.index { |header| header.to_s.strip.match?(pattern) } }
    missing = places.select { |_, place| place.nil? }.keys
    Rhexon.refuse_unless(
      missing.empty?,
      "The file lacks " \
      "#{missing.map { |name| { at: "a time", t_c: "a temperature", rh: "a humidity" }.fetch(name) }.to_sentence}",
      where: "row 1", accepted: "columns such as time, t_c, rh"
    )
    places.values_at(:at, :t_c, :rh)
  end

  def add(number, time, *figures)
    at = instant(time) or return refuse(number, "#{time.to_s.first(40).inspect} is no time within ten years")
    t_c, rh = figures.map { |figure| Float(figure.to_s.strip.tr(",", "."), exception: false) }
    unless t_c&.between?(-20, 60) && rh&.between?(1, 100)
      t_text, rh_text = figures.map { |figure| figure.to_s.first(20).inspect }
      return refuse(number, "#{t_text} °C, #{rh_text} % cannot be")
    end

    hour = @hours[at.beginning_of_hour] ||= Hour.new(0.0, 0.0, 0)
    hour.t_c += t_c
    hour.rh += rh
    hour.rows += 1
  end

  def instant(text)
    at = @zone.parse(text.to_s)
    at if at && Rhexon::Zone.near?(at.to_i / 60, @now)
  rescue ArgumentError
    nil
  end

  def refuse(number, sentence)
    @refused_rows += 1
    @refused << { row: number, sentence: sentence } if @refused.size < TOLD
  end
end
