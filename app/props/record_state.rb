# The record as its page shows it: what is looked for, a line for each piece, and the diary of its days.
class RecordState
  # @param query [Record::Query]
  # @param page [String, nil] number of the page
  def initialize(query, page)
    @query = query
    @page = page
  end

  # @return [Hash] RecordPage
  def to_h
    RecordPageSerializer.new(
      { query: @query.given, days: days, strands: strands, count: list.count, page: list.number, last: list.last,
        choices: choices, zone: Shop.current.zone, now: Time.current.to_i / 60 }
    ).to_h
  end

  private

  def list = @list ||= ListPage.new(@query.entries, @page, size: Record::Query::PAGE)
  def lines = @lines ||= Record::Line.of(list.records)

  # @return [Array<Hash>] the last first
  def days
    clock = Shop.current.clock
    lines.group_by { |line| clock.date(line.entry.happened_at.to_i / 60) }.map do |date, mine|
      done = mine.filter_map(&:done).select(&:hands_min)
      { date: date.iso8601, hands_min: done.sum(&:hands_min).round, reckoned_min: done.sum(&:reckoned_min).round,
        lines: mine.map { |line| RecordLineSerializer.new(line).to_h } }
    end
  end

  def strands = Record::Strands.new(@query.entries).all.map { |strand| RecordStrandSerializer.new(strand).to_h }

  def choices
    { pieces: Piece.joins(:entries).distinct.order(:name).pluck(:id, :name).map { |id, name| [ id.to_s, name ] },
      products: Shelf.products.values.reject(&:helper?).map { |product| [ product.id, product.name ] }.sort_by(&:last),
      people: Person.order(:name).pluck(:name), faults: faults,
      batches: Batch.where.not(lot: [ nil, "" ]).order(:id).includes(:product).last(60)
        .map { |batch| [ batch.id.to_s, "#{batch.lot}, #{batch.product&.name}" ] } }
  end

  def faults
    ids = Entry.where(kind: "fault").distinct.pluck(Arel.sql("json_extract(body, '$.fault')")).compact
    Rhexon::Faults::Fault.all.select { |fault| ids.include?(fault.id) }.map { |fault| [ fault.id, fault.name ] }
  end
end
