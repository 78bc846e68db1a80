# Texts have a length, documents a size, and a pass begins and ends once until it is taken back. Triggers, since SQLite rebuilds a table for a constraint and loses its triggers.
class LimitsHoldInTheDatabase < ActiveRecord::Migration[7.2]
  NAME, WORDS, DOCUMENT = 200, 2_000, 500_000
  LENGTHS = {
    shops: { name: NAME, house: DOCUMENT }, rooms: { name: NAME, daily: DOCUMENT }, people: { name: NAME, skills: DOCUMENT }, tools: { name: NAME }, products: { code: NAME, name: NAME, maker: NAME, role: NAME, figures: DOCUMENT },
    jobs: { client: NAME, place: WORDS }, pieces: { name: NAME, wood: NAME, look: WORDS }, faces: { name: NAME }, revisions: { document: DOCUMENT, operation: DOCUMENT, reason: WORDS },
    entries: { client_id: NAME, pass_key: WORDS, body: DOCUMENT }, boards: { name: NAME, wood: NAME, timber_lot: NAME }, cells: { label: NAME, layers: DOCUMENT, ruined: WORDS },
    readings: { client_id: NAME, kind: NAME, value: DOCUMENT, observer: NAME, light: NAME, instrument: NAME }, pair_picks: { client_id: NAME, light: NAME, observer: NAME }, trials: { name: NAME, base: DOCUMENT, factors: DOCUMENT },
    recipes: { name: NAME, components: DOCUMENT, notes: WORDS }, mixes: { name: WORDS, components: DOCUMENT }, batches: { name: WORDS, lot: NAME }, stock_moves: { client_id: NAME, reason: WORDS }, consumables: { name: NAME, unit: NAME, wear: DOCUMENT },
    photos: { client_id: NAME, words: WORDS }
  }.freeze

  def up
    LENGTHS.each do |table, columns|
      columns.each do |column, most|
        %w[INSERT UPDATE].each { |verb| execute "CREATE TRIGGER #{table}_#{column}_length_#{verb.downcase} BEFORE #{verb} ON #{table} WHEN length(NEW.#{column}) > #{most} BEGIN SELECT RAISE(ABORT, '#{table}.#{column} is too long'); END" }
      end
    end
    execute <<~SQL
      CREATE TRIGGER entries_once BEFORE INSERT ON entries
      WHEN NEW.kind IN ('started', 'done') AND EXISTS (
        SELECT 1 FROM entries AS earlier WHERE earlier.pass_key = NEW.pass_key AND earlier.kind = NEW.kind AND earlier.client_id <> NEW.client_id
          AND NOT EXISTS (SELECT 1 FROM entries AS correction WHERE correction.corrects_id = earlier.id))
      BEGIN SELECT RAISE(ABORT, 'that pass is in the log already'); END
    SQL
    add_index :entries, %i[pass_key kind]
  end

  def down
    remove_index :entries, %i[pass_key kind]
    execute "DROP TRIGGER entries_once"
    LENGTHS.each { |table, columns| columns.each_key { |column| %w[insert update].each { |verb| execute "DROP TRIGGER #{table}_#{column}_length_#{verb}" } } }
  end
end
