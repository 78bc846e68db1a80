# What was tried and approved for pieces: cells of their boards that were read and are sound, and the cell their schedule came from.
class TriedLooks
  # A cell as the core takes it, and what it belongs to.
  Tried = Struct.new(:cell_id, :piece_id, :record, keyword_init: true)

  @lock = Mutex.new

  class << self
    # All cells that were read and are sound, laid on alike once a piece; read again when something was read or changed on a board.
    # @return [Array<Tried>]
    def known
      stamp = [ Reading.connection_db_config.database, Reading.pick(Arel.sql("COUNT(*), MAX(id), MAX(created_at)")), Cell.pick(Arel.sql("COUNT(*), MAX(updated_at)")), Board.pick(Arel.sql("COUNT(*), MAX(updated_at)")) ]
      @lock.synchronize do
        next @known if @stamp == stamp

        @stamp = stamp
        @known = read.freeze
      end
    end

    private

    def read
      cells = Cell.where(ruined: nil).where.not(role: "bare").where(Reading.where("readings.cell_id = cells.id").arel.exists).includes(:board).order(:id)
      cells.map { |cell| Tried.new(cell_id: cell.id, piece_id: cell.board.piece_id, record: Rhexon::Reference.freeze_deep("name" => "cell #{cell.label} of #{cell.board.name}", "wood" => cell.board.wood, "layers" => cell.layers)).freeze }
    end
  end

  # @param pieces [Array<Piece>]
  def initialize(pieces)
    @pieces = pieces
  end

  # @return [Array<Hash>, nil] boards of a piece of rhexon-shop/1, cells laid on alike once; the making of a board is itself the trial
  def of(piece)
    return [ { "name" => piece.name, "wood" => piece.wood, "layers" => piece.layers } ] if makings.include?(piece.id)

    known.select { |tried| tried.piece_id == piece.id || tried.cell_id == piece.schedule.from_cell_id }.map(&:record).uniq { |record| record.values_at("layers", "wood") }
  end

  # The cell whose reading stands for what a schedule makes: the same things in the same order, however laid on.
  # @param steps [Array<Hash>] on the shown face
  # @return [Cell, nil] nil where none was read
  def read_as(piece, steps)
    mine = of(piece)
    board, found = Rhexon::Boards::Tried.nearest(mine, steps, products: Shelf.products, wood: piece.wood)
    return unless found&.none? { |one| Rhexon::Boards::Tried::OTHER.include?(one.kind) }

    tried = known.find { |one| one.record.equal?(board) } and Cell.includes(:readings, :board).find(tried.cell_id)
  end

  # @return [Boolean] whether somebody approved the look that its schedule makes
  def approved?(piece) = makings.include?(piece.id) || (approved_once.include?(piece.id) && !Approval.of(piece).stale?)

  private

  def makings = @makings ||= Board.where(making: @pieces).pluck(:making_id)
  def known = @known ||= self.class.known
  def approved_once = @approved_once ||= Entry.where(piece: @pieces, kind: "approved").distinct.pluck(:piece_id)
end
