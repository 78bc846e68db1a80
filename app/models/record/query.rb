# What of the record is looked for.
class Record::Query
  FIELDS = %w[words piece product batch person fault from to].freeze
  PAGE = 60
  # Of a file.
  MOST = 20_000

  # @return [Hash{String=>String}] what was asked for, as it is written in the address
  attr_reader :given

  # @param params [Hash{String=>String, nil}] of FIELDS
  def initialize(params)
    @given = params.slice(*FIELDS).compact_blank
  end

  # @return [ActiveRecord::Relation] of entries, the last first
  # @raise [Rhexon::InvalidInput]
  def entries
    Record::Words.refresh! if found?
    scope = Entry.order(happened_at: :desc, id: :desc)
    scope = scope.where(piece_id: whole("piece")) if given["piece"]
    scope = scope.where(happened_at: day("from")..) if given["from"]
    scope = scope.where(happened_at: ...day("to") + 1.day) if given["to"]
    found? ? scope.where("entries.id IN (#{found.to_sql})") : scope
  end

  private

  INDEXED = %w[words product batch person fault].freeze
  private_constant :INDEXED

  def found? = given.keys.intersect?(INDEXED)

  def found
    table = Arel::Table.new(:entry_words)
    conditions = [ matched, contains(table, "products", given["product"]), contains(table, "batches", given["batch"]),
                   (table[:person].eq(given["person"]) if given["person"]),
                   (table[:fault].eq(given["fault"]) if given["fault"]) ].compact
    conditions.reduce(table.project(Arel.sql("rowid"))) { |query, condition| query.where(condition) }
  end

  # Words without a letter in them find nothing.
  def matched
    return unless given["words"]

    query = Record::Words.query(given["words"]) or return Arel.sql("1 = 0")
    Arel.sql(ApplicationRecord.sanitize_sql([ "entry_words MATCH ?", "words : (#{query})" ]))
  end

  def contains(table, column, value)
    value && Arel.sql(ApplicationRecord.sanitize_sql([ "instr(#{table.name}.#{column}, ?) > 0", " #{value} " ]))
  end

  def whole(name)
    given[name].to_s.match?(/\A\d{1,15}\z/) ? given[name].to_i : -1
  end

  # @return [Time] first moment of it in the shop's zone
  def day(name)
    Time.at(Shop.current.clock.at(Date.iso8601(given[name]), "00:00") * 60)
  rescue ArgumentError
    raise Rhexon::InvalidInput.new("#{given[name].inspect} is no day", where: name,
                                   accepted: "a day, such as 2026-11-30")
  end
end
