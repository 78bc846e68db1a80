# The nearest kind of wood for a piece whose own has no colour figures; the sketch of a floor; the air where a job will
# live. Columns are added by themselves: a table that SQLite rebuilds would lose its triggers.
class WoodAirAndSketch < ActiveRecord::Migration[7.2]
  def up
    execute "ALTER TABLE pieces ADD COLUMN wood_like varchar CHECK (length(wood_like) <= 40)"
    execute "ALTER TABLE pieces ADD COLUMN sketch json CHECK (sketch IS NULL OR " \
            "(json_valid(sketch) AND length(sketch) <= 20000))"
    execute "ALTER TABLE jobs ADD COLUMN place_t_c decimal CHECK (place_t_c BETWEEN -30 AND 60)"
    execute "ALTER TABLE jobs ADD COLUMN place_rh decimal CHECK (place_rh BETWEEN 1 AND 99)"
  end

  def down
    { pieces: %w[wood_like sketch], jobs: %w[place_t_c place_rh] }.each do |table, columns|
      columns.each { |column| execute "ALTER TABLE #{table} DROP COLUMN #{column}" }
    end
  end
end
