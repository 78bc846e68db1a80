# A piece may be somebody's own, and be given to many from one: a class.
class PiecesAreSomebodysOwn < ActiveRecord::Migration[7.2]
  # SQLite adds a column where it stands; a table that is rebuilt would lose its triggers.
  def up
    execute "ALTER TABLE pieces ADD COLUMN person_id integer REFERENCES people(id)"
    execute "ALTER TABLE pieces ADD COLUMN given_from_id integer REFERENCES pieces(id)"
    add_index :pieces, :person_id
    add_index :pieces, :given_from_id
  end

  def down
    remove_index :pieces, :given_from_id
    remove_index :pieces, :person_id
    execute "ALTER TABLE pieces DROP COLUMN given_from_id"
    execute "ALTER TABLE pieces DROP COLUMN person_id"
  end
end
