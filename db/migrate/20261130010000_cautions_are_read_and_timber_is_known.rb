# Cautions that were read and rags that were dealt with are entries of the log; a batch of timber may be unlike its
# kind.
class CautionsAreReadAndTimberIsKnown < ActiveRecord::Migration[7.2]
  BEFORE = %w[started done dry_test note correction poured mixed discarded fault approved verdict].freeze
  AFTER = (BEFORE + %w[acknowledged rags]).freeze
  LENGTHS = { name: 200, wood: 200, words: 2_000, facts: 2_000 }.freeze

  def up
    kinds(BEFORE, AFTER)
    create_table :timbers do |t|
      t.string :name, null: false, index: { unique: true }
      t.string :wood, null: false
      t.json :facts, null: false, default: {}
      t.string :words
      t.timestamps
      t.check_constraint "json_valid(facts)", name: "facts_are_json"
    end
    LENGTHS.each do |column, most|
      %w[INSERT UPDATE].each { |verb| execute "CREATE TRIGGER timbers_#{column}_length_#{verb.downcase} BEFORE #{verb} ON timbers WHEN length(NEW.#{column}) > #{most} BEGIN SELECT RAISE(ABORT, 'timbers.#{column} is too long'); END" }
    end
    %w[INSERT UPDATE DELETE].each do |verb|
      execute "CREATE TRIGGER timbers_mark_#{verb.downcase} AFTER #{verb} ON timbers BEGIN INSERT INTO marks (name, mark) VALUES ('timbers', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END"
    end
    execute "ALTER TABLE pieces ADD COLUMN timber_id integer REFERENCES timbers(id)"
    add_index :pieces, :timber_id
  end

  def down
    remove_index :pieces, :timber_id
    execute "ALTER TABLE pieces DROP COLUMN timber_id"
    drop_table :timbers
    kinds(AFTER, BEFORE)
  end

  private

  # SQLite rebuilds a table to change a constraint, and its triggers go with it.
  def kinds(before, after)
    triggers = select_rows("SELECT name, sql FROM sqlite_master WHERE type = 'trigger' AND tbl_name = 'entries'")
    triggers.each { |name, _| execute "DROP TRIGGER #{name}" }
    remove_check_constraint :entries, list(before), name: "entry_kind"
    add_check_constraint :entries, list(after), name: "entry_kind"
    triggers.each { |_, sql| execute sql }
  end

  def list(kinds) = "kind IN (#{kinds.map { |kind| "'#{kind}'" }.join(",")})"
end
