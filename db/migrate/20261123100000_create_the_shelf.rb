# Batches with what moves in and out of them, mixes in the pot, recipes, consumables; pours are entries of the log.
class CreateTheShelf < ActiveRecord::Migration[7.2]
  KINDS = { before: %w[started done dry_test note correction], after: %w[started done dry_test note correction poured mixed discarded] }.freeze

  def change
    shop_settings
    create_recipes
    create_mixes
    create_batches
    create_consumables
    entries_know_pours
    append_only :stock_moves
  end

  private

  def shop_settings
    add_column :shops, :units, :string, null: false, default: "metric"
    add_column :shops, :scale_g, :float, null: false, default: 1.0
    add_column :shops, :currency, :string, null: false, default: "EUR"
  end

  def create_recipes
    create_table :recipes do |t|
      t.string :name, null: false, index: { unique: true }
      t.json :components, null: false
      t.string :notes
      t.timestamps
      t.check_constraint "json_valid(components)", name: "components_are_json"
    end
  end

  def create_mixes
    create_table :mixes do |t|
      t.string :name, null: false
      t.references :product, foreign_key: true
      t.references :room, foreign_key: true
      t.json :components, null: false
      t.json :want, null: false
      t.json :pass_keys, null: false, default: []
      t.float :resolution_g, null: false
      t.float :container_ml
      t.float :usable_g
      t.datetime :closed_at
      t.timestamps
      t.check_constraint "json_valid(components) AND json_valid(want) AND json_valid(pass_keys)", name: "mix_is_json"
    end
  end

  def create_batches
    create_table :batches do |t|
      t.references :product, foreign_key: true
      t.references :mix, foreign_key: true, index: { unique: true }
      t.string :name, null: false
      t.string :state, null: false
      t.date :made_on
      t.date :opened_on
      t.date :expires_on
      t.datetime :usable_until
      t.string :lot
      t.boolean :boxed, null: false, default: false
      t.boolean :kept, null: false, default: false
      t.datetime :discarded_at
      t.timestamps
      t.check_constraint "state IN ('sealed','opened','mixed','catalysed')", name: "batch_state"
      t.check_constraint "product_id IS NOT NULL OR mix_id IS NOT NULL", name: "batch_is_of_something"
    end
    create_table :stock_moves do |t|
      t.references :batch, null: false, foreign_key: true
      t.references :entry, foreign_key: true
      t.float :grams, null: false
      t.string :reason, null: false
      t.string :client_id, null: false, index: { unique: true }
      t.datetime :created_at, null: false
      t.check_constraint "grams <> 0", name: "something_moves"
    end
  end

  def create_consumables
    create_table :consumables do |t|
      t.string :name, null: false, index: { unique: true }
      t.string :unit, null: false
      t.float :pack, null: false, default: 1
      t.float :price
      t.float :left, null: false, default: 0
      t.json :wear, null: false, default: []
      t.string :source, null: false, default: "estimate"
      t.timestamps
      t.check_constraint "json_valid(wear)", name: "wear_is_json"
      t.check_constraint "pack > 0 AND \"left\" >= 0", name: "counts_are_counts"
    end
  end

  # SQLite rebuilds a table to change a constraint, and its triggers go with it.
  def entries_know_pours
    add_reference :entries, :mix, foreign_key: true
    reversible do |direction|
      direction.up { kinds(KINDS[:before], KINDS[:after]) }
      direction.down { kinds(KINDS[:after], KINDS[:before]) }
    end
  end

  def kinds(before, after)
    %w[update delete].each { |verb| execute "DROP TRIGGER IF EXISTS entries_refuse_#{verb}" }
    remove_check_constraint :entries, list(before), name: "entry_kind"
    add_check_constraint :entries, list(after), name: "entry_kind"
    %w[UPDATE DELETE].each { |verb| execute refusal("entries", verb) }
  end

  def list(kinds) = "kind IN (#{kinds.map { |kind| "'#{kind}'" }.join(",")})"

  def append_only(table)
    reversible do |direction|
      direction.up { %w[UPDATE DELETE].each { |verb| execute refusal(table, verb) } }
      direction.down { %w[update delete].each { |verb| execute "DROP TRIGGER #{table}_refuse_#{verb}" } }
    end
  end

  def refusal(table, verb)
    "CREATE TRIGGER #{table}_refuse_#{verb.downcase} BEFORE #{verb} ON #{table} BEGIN SELECT RAISE(ABORT, '#{table} are append-only'); END"
  end
end
