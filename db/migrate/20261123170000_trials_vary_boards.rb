# A trial: what is varied on which base, over one or more boards; readings know their instrument; blind picks of pairs.
class TrialsVaryBoards < ActiveRecord::Migration[7.2]
  def change
    create_table :trials do |t|
      t.string :name, null: false, index: { unique: true }
      t.references :piece, foreign_key: true
      t.json :base, null: false, default: []
      t.json :factors, null: false, default: []
      t.string :design, null: false, default: "full"
      t.integer :seed, null: false, default: 1
      t.boolean :shuffled, null: false, default: false
      t.json :weights, null: false, default: {}
      t.json :target_lab
      t.timestamps
      t.check_constraint "json_valid(base) AND json_valid(factors) AND json_valid(weights)", name: "trial_is_json"
      t.check_constraint "design IN ('full','half','quarter','subset','one_at_a_time')", name: "trial_design"
    end
    add_reference :boards, :trial, foreign_key: true
    add_column :boards, :step_strip, :boolean, null: false, default: false
    add_column :cells, :run, :json
    add_column :cells, :role, :string, null: false, default: "run"
    add_column :readings, :instrument, :string
    reversible do |direction|
      direction.up { reading_kinds { remove_check_constraint :readings, name: "reading_kind" } }
      direction.down { reading_kinds { add_check_constraint :readings, "kind IN ('lab','gloss','blotch','liking','note')", name: "reading_kind" } }
    end
    create_table :pair_picks do |t|
      t.references :winner, null: false, foreign_key: { to_table: :cells }
      t.references :loser, null: false, foreign_key: { to_table: :cells }
      t.string :client_id, null: false, index: { unique: true }
      t.string :light
      t.string :observer
      t.datetime :created_at, null: false
      t.check_constraint "winner_id <> loser_id", name: "a_pick_is_of_two"
    end
    reversible do |direction|
      direction.up { %w[UPDATE DELETE].each { |verb| execute "CREATE TRIGGER pair_picks_refuse_#{verb.downcase} BEFORE #{verb} ON pair_picks BEGIN SELECT RAISE(ABORT, 'pair_picks are append-only'); END" } }
      direction.down { %w[update delete].each { |verb| execute "DROP TRIGGER pair_picks_refuse_#{verb}" } }
    end
  end

  private

  # What can be read is a list of the core. SQLite rebuilds a table to change a constraint, and its triggers go with it.
  def reading_kinds
    %w[update delete].each { |verb| execute "DROP TRIGGER IF EXISTS readings_refuse_#{verb}" }
    yield
    %w[UPDATE DELETE].each { |verb| execute "CREATE TRIGGER readings_refuse_#{verb.downcase} BEFORE #{verb} ON readings BEGIN SELECT RAISE(ABORT, 'readings are append-only'); END" }
  end
end
