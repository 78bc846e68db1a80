# What a face was like before its schedule begins, and whether the pores of a piece are to show. Columns are added by
# themselves: a table that SQLite rebuilds would lose its triggers.
class WhatWasThereBefore < ActiveRecord::Migration[7.2]
  def up
    execute "ALTER TABLE faces ADD COLUMN found json CHECK (found IS NULL OR json_valid(found))"
    execute "ALTER TABLE pieces ADD COLUMN pores varchar CHECK (pores IS NULL OR pores IN ('open', 'closed'))"
    execute <<~SQL
      CREATE TRIGGER faces_found_length_insert BEFORE INSERT ON faces WHEN length(NEW.found) > 2000
      BEGIN SELECT RAISE(ABORT, 'faces.found is too long'); END
    SQL
    execute <<~SQL
      CREATE TRIGGER faces_found_length_update BEFORE UPDATE ON faces WHEN length(NEW.found) > 2000
      BEGIN SELECT RAISE(ABORT, 'faces.found is too long'); END
    SQL
  end

  def down
    %w[insert update].each { |verb| execute "DROP TRIGGER faces_found_length_#{verb}" }
    remove_column :faces, :found
    remove_column :pieces, :pores
  end
end
