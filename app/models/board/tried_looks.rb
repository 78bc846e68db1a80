# What was tried and approved for pieces: cells of their boards that were read and are sound, and the cell their
# schedule came from.
class Board::TriedLooks
  # Cells that were read and are sound, as the core takes them.
  # @!attribute by_piece [Hash{Integer=>Array<Hash>}] of its boards, laid on alike once
  # @!attribute by_cell  [Hash{Integer=>Hash}]
  Known = Struct.new(:by_piece, :by_cell, keyword_init: true)

  @lock = Mutex.new

  class << self
    # Read again when something was read or changed on a board.
    # @return [Known]
    def known
      stamp = Stamp.current.of("readings", "cells", "boards")
      @lock.synchronize do
        next @known if @stamp == stamp

        @stamp = stamp
        @known = read
      end
    end

    private

    def read
      cells = Cell.where(ruined: nil)
        .where
        .not(role: "bare")
        .where(Reading.where("readings.cell_id = cells.id").arel.exists)
        .includes(:board)
        .order(:id).to_a
      records = cells.to_h do |cell|
        [
          cell.id,
          Rhexon::Reference.freeze_deep("name" => "cell #{cell.label} of #{cell.board.name}",
                                        "wood" => cell.board.wood, "layers" => cell.layers)
        ]
      end
      by_piece = cells.group_by { |cell| cell.board.piece_id }.transform_values do |mine|
        mine.map { |cell| records.fetch(cell.id) }.uniq { |record| record.values_at("layers", "wood") }
      end
      Known.new(by_piece: by_piece.freeze, by_cell: records.freeze).freeze
    end
  end

  # @param pieces [Array<Piece>]
  def initialize(pieces)
    @pieces = pieces
  end

  # @return [Array<Hash>, nil] boards of a piece of rhexon-shop/1, cells laid on alike once; the making of a board is
  #   itself the trial
  def for_piece(piece)
    return [ { "name" => piece.name, "wood" => piece.wood, "layers" => piece.layers } ] if makings.include?(piece.id)

    [ *known.by_piece[piece.id], known.by_cell[piece.schedule.from_cell_id] ].compact.uniq(&:object_id)
  end

  # The cell whose reading stands for what a schedule makes: the same things in the same order, however laid on.
  # @param steps [Array<Hash>] on the shown face
  # @return [Cell, nil] nil where none was read
  def read_as(piece, steps)
    mine = for_piece(piece)
    board, differences = Rhexon::Boards::BoardComparison.nearest(
      mine, steps, products: Shelf.products, wood: piece.wood
    )
    return unless differences&.none? { |one| Rhexon::Boards::BoardComparison::OTHER.include?(one.kind) }

    id = known.by_cell.key(board) and Cell.includes(:readings, :board).find(id)
  end

  # @return [Boolean] whether somebody approved the look that its schedule makes
  def approved?(piece)
    return true if makings.include?(piece.id)

    # What was approved once may be taken back since.
    approval = Approval.for(piece) if approved_once.include?(piece.id)
    !approval.nil? && !approval.stale?
  end

  private

  def makings = @makings ||= Board.where(making: @pieces).pluck(:making_id)
  def known = @known ||= self.class.known
  def approved_once = @approved_once ||= Entry.where(piece: @pieces, kind: "approved").distinct.pluck(:piece_id)
end
