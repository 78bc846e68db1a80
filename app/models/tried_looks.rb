# What was tried and approved for pieces: cells of their boards that were read and are sound, and the cell their schedule came from.
class TriedLooks
  # @param pieces [Array<Piece>]
  def initialize(pieces)
    @pieces = pieces
  end

  # @return [Array<Hash>] boards of a piece of rhexon-shop/1, cells laid on alike once
  def of(piece)
    own = cells.select { |cell| cell.board.piece_id == piece.id || cell.id == piece.schedule.from_cell_id }
    own.uniq { |cell| [ cell.layers, cell.board.wood ] }.map { |cell| { "name" => "cell #{cell.label} of #{cell.board.name}", "wood" => cell.board.wood, "layers" => cell.layers } }
  end

  # @return [Boolean] whether somebody approved the look that its schedule makes
  def approved?(piece) = approvals[piece.id].present? && !Approval.of(piece).stale?

  private

  def cells
    @cells ||= begin
      ids = @pieces.filter_map { |piece| piece.schedule.from_cell_id }
      sound = Cell.joins(:board).where(ruined: nil).where.not(role: "bare").where(Reading.where("readings.cell_id = cells.id").arel.exists)
      sound.where(boards: { piece_id: @pieces.map(&:id) }).or(sound.where(id: ids)).includes(:board).order(:id).to_a
    end
  end

  def approvals = @approvals ||= Entry.where(piece: @pieces, kind: "approved").group_by(&:piece_id)
end
