require "csv"

# What is shown of the record as a file: CSV with a line for each entry, or JSON with all that stands in it.
class Record::Export
  COLUMNS = %w[id happened_at piece client subject told person kind hands_min reckoned_min planned_start film_um t_c rh
               mix_g taken_back].freeze

  # @param lines [Array<Record::Line>]
  def initialize(lines)
    @lines = lines
  end

  # @return [String]
  def csv
    CSV.generate { |csv| [ COLUMNS, *@lines.map { |line| cells(line) } ].each { |row| csv << row } }
  end

  # @return [Hash] rhexon-record/1
  def json
    { "format" => "rhexon-record/1", "zone" => Shop.current.zone,
      "entries" => @lines.map { |line| { **row(line), "pass" => line.entry.pass_key, "body" => line.entry.body } } }
  end

  private

  def cells(line) = row(line).values_at(*COLUMNS).map { |cell| Spreadsheet.harmless(cell) }
  def clock = @clock ||= Shop.current.clock

  def row(line)
    done = line.done
    { "id" => line.entry.id, "happened_at" => line.entry.happened_at.iso8601, "piece" => line.entry.piece&.name,
      "client" => line.entry.piece&.job&.client, "subject" => line.told.subject, "told" => line.told.words,
      "person" => line.person, "kind" => line.entry.kind, "hands_min" => done&.hands_min&.round,
      "reckoned_min" => done&.reckoned_min&.round,
      "planned_start" => line.planned_at && clock.iso(line.planned_at),
      "film_um" => done&.film_um, "t_c" => done&.air&.t_c&.round(1), "rh" => done&.air&.rh&.round(1),
      "mix_g" => done&.g, "taken_back" => line.entry.correction ? "yes" : nil }
  end
end
