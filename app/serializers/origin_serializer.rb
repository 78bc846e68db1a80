# The board cell that a schedule was promoted from.
class OriginSerializer < ApplicationSerializer
  typelize board_id: :number, board: :string, label: :string
  attribute(:board_id) { |cell| cell.board_id }
  attribute(:board) { |cell| cell.board.name }
  attribute(:label) { |cell| cell.label }
end
