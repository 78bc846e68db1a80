# A line of the record: an entry in words, with what was reckoned for it where it is work that is done.
class Record::Line
  INCLUDES = [ *Record::Words::INCLUDES, :correction, :corrects, :photos, :person ].freeze

  # @param scope [ActiveRecord::Relation] of entries
  # @return [Array<Record::Line>]
  def self.of(scope)
    names = Shelf.products.transform_values(&:name)
    beside = Record::Beside.new
    entries = scope.includes(*INCLUDES).to_a
    begun = begun(entries)
    entries.map { |entry| new(entry, Record::Told.new(entry, names), beside.line(entry), begun[entry.pass_key]) }
  end

  # The entries with which what is done was begun: they say when it was planned, and who began it.
  def self.begun(entries)
    keys = entries.select { |entry| entry.kind == "done" }.map(&:pass_key)
    Entry.uncorrected.where(kind: "started", pass_key: keys.compact).index_by(&:pass_key)
  end
  private_class_method :begun

  attr_reader :entry, :told, :done

  # @param begun [Entry, nil] with which the work was begun
  def initialize(entry, told, done, begun)
    @entry = entry
    @told = told
    @done = done
    @begun = entry.kind == "started" ? entry : begun
  end

  # Whose hands it was, or who wrote it down.
  def person = told.person || (done&.person if entry.kind == "done") || entry.person&.name

  # @return [Integer, nil] minute at which it was planned to begin, as the plan stood when it was begun
  def planned_at = (at = @begun&.body.to_h["planned"]) && Rhexon::Zone.minute(at)
end
