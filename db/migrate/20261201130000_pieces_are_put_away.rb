# Pieces can be put away and brought back; whose hands work on their own pieces alone, and on what shop tools stand open;
# the address by which devices reach the shop's computer.
class PiecesArePutAway < ActiveRecord::Migration[7.2]
  # SQLite adds a column where it stands; a table that is rebuilt would lose its triggers.
  def up
    execute "ALTER TABLE pieces ADD COLUMN put_away_at datetime(6)"
    remove_index :pieces, %i[job_id name]
    add_index :pieces, %i[job_id name], unique: true, where: "put_away_at IS NULL"
    execute "ALTER TABLE pieces ADD COLUMN shop_tools boolean NOT NULL DEFAULT 1"
    execute "ALTER TABLE people ADD COLUMN own_pieces_only boolean NOT NULL DEFAULT 0"
    execute "UPDATE people SET own_pieces_only = 1 WHERE role = 'student'"
    execute "ALTER TABLE shops ADD COLUMN address varchar CHECK (length(address) <= 200)"
  end

  def down
    execute "ALTER TABLE shops DROP COLUMN address"
    execute "ALTER TABLE people DROP COLUMN own_pieces_only"
    execute "ALTER TABLE pieces DROP COLUMN shop_tools"
    remove_index :pieces, %i[job_id name]
    execute "ALTER TABLE pieces DROP COLUMN put_away_at"
    add_index :pieces, %i[job_id name], unique: true
  end
end
