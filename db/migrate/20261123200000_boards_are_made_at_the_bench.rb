# The making of a board is work among the other: a piece whose faces are its cells.
class BoardsAreMadeAtTheBench < ActiveRecord::Migration[7.2]
  def change
    add_reference :boards, :making, foreign_key: { to_table: :pieces }
  end
end
