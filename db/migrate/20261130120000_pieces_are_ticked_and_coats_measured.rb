# Alike pieces are ticked one by one, coats are measured while they are laid, and what the evening asks for is seen to.
class PiecesAreTickedAndCoatsMeasured < ActiveRecord::Migration[7.2]
  BEFORE = %w[
    started done dry_test note correction poured mixed discarded fault approved verdict acknowledged rags
  ].freeze
  AFTER = (BEFORE + %w[tick measured seen_to]).freeze

  def up = kinds(BEFORE, AFTER)
  def down = kinds(AFTER, BEFORE)

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
