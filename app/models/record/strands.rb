# A line for each piece: when hands were on it, what was looked at, and what went wrong.
class Record::Strands
  # So many pieces are drawn, those with the latest work first.
  MOST_PIECES = 12
  # So many entries are read for them.
  MOST_ENTRIES = 3_000
  MARKS = %w[dry_test fault note].freeze

  # @!attribute bars  [Array<Array(Integer, Integer)>] minutes from and to
  # @!attribute marks [Array<Array(Integer, String)>] minute and kind
  Strand = Struct.new(:piece, :bars, :marks, keyword_init: true)

  # @param scope [ActiveRecord::Relation] of entries, the last first
  def initialize(scope)
    @scope = scope
  end

  # @return [Array<Strand>]
  def all
    rows = @scope.where.not(piece_id: nil).merge(Entry.uncorrected).limit(MOST_ENTRIES)
      .pluck(:piece_id, :kind, :pass_key, :happened_at).map { |*row, at| [ *row, at.to_i / 60 ] }
    by_piece = rows.group_by(&:first).first(MOST_PIECES)
    pieces = Piece.where(id: by_piece.map(&:first)).includes(:job).index_by(&:id)
    by_piece.map { |id, mine| Strand.new(piece: pieces.fetch(id), bars: bars(mine), marks: marks(mine)) }
  end

  private

  # What was begun and done; what only says that it was done is as long as a stroke.
  def bars(rows)
    times = rows.select { |_, kind, *| %w[started done].include?(kind) }.group_by { |_, _, pass, _| pass }
    times.values.map { |mine| mine.map(&:last).minmax }.sort
  end

  def marks(rows) = rows.filter_map { |_, kind, _, at| [ at, kind ] if MARKS.include?(kind) }.sort
end
