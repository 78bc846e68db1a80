# A fault that is found on a coat is an entry of the log.
class FaultsEnterTheLog < ActiveRecord::Migration[7.2]
  BEFORE = %w[started done dry_test note correction poured mixed discarded].freeze

  def up = kinds(BEFORE, BEFORE + %w[fault])
  def down = kinds(BEFORE + %w[fault], BEFORE)

  private

  # SQLite rebuilds a table to change a constraint, and its triggers go with it.
  def kinds(before, after)
    %w[update delete].each { |verb| execute "DROP TRIGGER IF EXISTS entries_refuse_#{verb}" }
    remove_check_constraint :entries, list(before), name: "entry_kind"
    add_check_constraint :entries, list(after), name: "entry_kind"
    %w[UPDATE DELETE].each { |verb| execute "CREATE TRIGGER entries_refuse_#{verb.downcase} BEFORE #{verb} ON entries BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END" }
  end

  def list(kinds) = "kind IN (#{kinds.map { |kind| "'#{kind}'" }.join(",")})"
end
