# Schedules kept for other pieces, in versions; and quotes as they were given to a client.
class RecipeBookAndGivenQuotes < ActiveRecord::Migration[7.2]
  LENGTHS = { templates: { name: 80 }, template_versions: { document: 500_000, reason: 2_000 },
              given_quotes: { figures: 200_000 } }.freeze

  def up
    create_table :templates do |t|
      t.string :name, null: false, index: { unique: true }
      t.timestamps
    end
    create_table :template_versions do |t|
      t.references :template, null: false, foreign_key: true, index: false
      t.integer :number, null: false
      t.json :document, null: false
      t.string :reason, null: false
      t.datetime :created_at, null: false
      t.index %i[template_id number], unique: true
      t.check_constraint "json_valid(document)", name: "template_document_is_json"
      t.check_constraint "number > 0", name: "template_version_number"
    end
    create_table :given_quotes do |t|
      t.references :piece, null: false, foreign_key: true
      t.json :figures, null: false
      t.datetime :created_at, null: false
      t.check_constraint "json_valid(figures)", name: "given_quote_is_json"
    end
    %i[template_versions given_quotes].each { |table| never_changed(table) }
    LENGTHS.each { |table, columns| columns.each { |column, most| no_longer(table, column, most) } }
    execute "ALTER TABLE schedules ADD COLUMN template_version_id integer REFERENCES template_versions(id)"
    add_index :schedules, :template_version_id
  end

  def down
    remove_index :schedules, :template_version_id
    execute "ALTER TABLE schedules DROP COLUMN template_version_id"
    %i[given_quotes template_versions templates].each { |table| drop_table table }
  end

  private

  def never_changed(table)
    execute "CREATE TRIGGER #{table}_refuse_update BEFORE UPDATE ON #{table} BEGIN SELECT RAISE(ABORT, '#{table} are never rewritten'); END"
  end

  def no_longer(table, column, most)
    %w[INSERT UPDATE].each do |verb|
      execute "CREATE TRIGGER #{table}_#{column}_length_#{verb.downcase} BEFORE #{verb} ON #{table} WHEN length(NEW.#{column}) > #{most} BEGIN SELECT RAISE(ABORT, '#{table}.#{column} is too long'); END"
    end
  end
end
