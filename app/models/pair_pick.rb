# One blind pick of a pair of cells: which the eye preferred. Never changed.
class PairPick < ApplicationRecord
  belongs_to :winner, class_name: "Cell"
  belongs_to :loser, class_name: "Cell"

  def readonly? = persisted?

  # @raise [Rhexon::InvalidInput, Entry::Conflict]
  def self.record!(board, client_id:, winner:, loser:, **fields)
    ids = board.cells.reject(&:ruined).map(&:id)
    Rhexon.refuse_unless(client_id.present?, "A pick needs an id of its own", where: "client_id")
    Rhexon.refuse_unless(winner != loser && ids.include?(winner) && ids.include?(loser),
                         "A pick is of two sound cells of this board", where: "winner", accepted: "two of its cells")
    known = find_by(client_id: client_id)
    if known && [ known.winner_id, known.loser_id ] != [ winner, loser ]
      raise Entry::Conflict, "Pick #{client_id} was recorded before, with other cells."
    end

    known || create!(client_id: client_id, winner_id: winner, loser_id: loser, created_at: Time.current, **fields)
  end
end
