# What was decided about a board, and why. Kept in the log; the last one stands.
class Board::Verdict
  # @param body [Hash] client_id, cell (id, or none: undecided), reason
  # @return [Entry]
  # @raise [Rhexon::InvalidInput]
  def self.record!(board, body, now: Time.current)
    reason = body["reason"].to_s.strip
    Rhexon.refuse_unless(
      reason.length.between?(1, 300), "A verdict has a reason", where: "reason", accepted: "1 to 300 letters"
    )
    cell = body["cell"] &&
      (board.cells.find { |candidate| candidate.id == body["cell"] } ||
        raise(
          Rhexon::InvalidInput.new(
            "That is no cell of this board", where: "cell", accepted: board.cells.map(&:label).join(", ")
          )
        ))
    Entry.record!(client_id: body["client_id"], kind: "verdict", happened_at: now, piece: board.piece, cell: cell,
                  body: { "board" => board.id, "reason" => reason })
  end

  # @return [Hash, nil]
  def self.for(board)
    entry = Entry.where(kind: "verdict")
      .where("json_extract(entries.body, '$.board') = ?", board.id).where
      .missing(:correction)
      .includes(:cell)
      .order(:happened_at, :id).last
    entry &&
      {
        cell: entry.cell && { id: entry.cell_id, label: entry.cell.label }, reason: entry.body["reason"],
        at: entry.happened_at.to_i / 60
      }
  end
end
