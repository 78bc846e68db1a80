# Words of the log are found (SQLite FTS5), and what the log has taught may be forgotten.
class RecordIsSearched < ActiveRecord::Migration[7.2]
  def up
    execute "CREATE VIRTUAL TABLE entry_words USING fts5(words, products UNINDEXED, batches UNINDEXED, person UNINDEXED, fault UNINDEXED, tokenize = 'unicode61 remove_diacritics 2')"
    add_index :entries, :happened_at
    create_table :forgotten_lessons do |t|
      t.references :product, null: false, foreign_key: true
      t.string :phase, null: false
      t.datetime :created_at, null: false
      t.check_constraint "phase IN ('early','hard')", name: "forgotten_phase"
    end
    %w[INSERT UPDATE DELETE].each do |verb|
      execute "CREATE TRIGGER forgotten_lessons_mark_#{verb.downcase} AFTER #{verb} ON forgotten_lessons BEGIN INSERT INTO marks (name, mark) VALUES ('forgotten_lessons', random()) ON CONFLICT (name) DO UPDATE SET mark = excluded.mark; END"
    end
  end

  def down
    drop_table :forgotten_lessons
    remove_index :entries, :happened_at
    execute "DROP TABLE entry_words"
  end
end
