# Two migrations were changed after databases had run them. What those databases lack is brought in here; where nothing is lacking nothing happens.
class OlderDatabasesCatchUp < ActiveRecord::Migration[7.2]
  def up
    add_column :mixes, :usable_g, :float unless column_exists?(:mixes, :usable_g)
    remove_column :mixes, :running if column_exists?(:mixes, :running)
    without_reading_kinds if check_constraint_exists?(:readings, name: "reading_kind")
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # What can be read is a list of the core. SQLite rebuilds a table to change a constraint, and its triggers go with it.
  def without_reading_kinds
    %w[update delete].each { |verb| execute "DROP TRIGGER IF EXISTS readings_refuse_#{verb}" }
    remove_check_constraint :readings, name: "reading_kind"
    %w[UPDATE DELETE].each { |verb| execute "CREATE TRIGGER readings_refuse_#{verb.downcase} BEFORE #{verb} ON readings BEGIN SELECT RAISE(ABORT, 'readings are append-only'); END" }
  end
end
