# Each pass that is planned has its place, read by every page and moved only where something happened; what moved is
# told. Plans that were accepted one by one are no more: the plan is always kept.
class ThePlanIsKept < ActiveRecord::Migration[7.2]
  def up
    drop_table :plans
    execute "DELETE FROM marks WHERE name = 'plans'"
    execute <<~SQL
      CREATE TABLE planned_passes (
        id integer PRIMARY KEY AUTOINCREMENT NOT NULL,
        piece_id integer NOT NULL REFERENCES pieces(id) ON DELETE CASCADE,
        pass_key varchar NOT NULL CHECK (length(pass_key) <= 400),
        start_min integer NOT NULL, person varchar CHECK (length(person) <= 200),
        because varchar CHECK (length(because) <= 40), mark varchar CHECK (length(mark) <= 20),
        scuff json CHECK (scuff IS NULL OR json_valid(scuff)),
        hands_min json CHECK (hands_min IS NULL OR json_valid(hands_min))
      )
    SQL
    add_index :planned_passes, :piece_id
    add_index :planned_passes, :pass_key, unique: true
    %w[INSERT UPDATE DELETE].each do |verb|
      execute <<~SQL
        CREATE TRIGGER planned_passes_mark_#{verb.downcase} AFTER #{verb} ON planned_passes
        BEGIN
          INSERT INTO marks (name, mark) VALUES ('planned_passes', random())
            ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
        END
      SQL
    end
    execute <<~SQL
      CREATE TABLE planned_pieces (
        id integer PRIMARY KEY AUTOINCREMENT NOT NULL,
        piece_id integer NOT NULL REFERENCES pieces(id) ON DELETE CASCADE, ready_min integer NOT NULL
      )
    SQL
    add_index :planned_pieces, :piece_id, unique: true
    execute <<~SQL
      CREATE TABLE plan_moves (
        id integer PRIMARY KEY AUTOINCREMENT NOT NULL,
        piece_id integer NOT NULL REFERENCES pieces(id) ON DELETE CASCADE,
        entry_id integer REFERENCES entries(id) ON DELETE SET NULL,
        pass_key varchar CHECK (length(pass_key) <= 400),
        was_min integer NOT NULL, now_min integer NOT NULL, at datetime(6) NOT NULL
      )
    SQL
    add_index :plan_moves, :at
    add_index :plan_moves, :piece_id
    add_index :plan_moves, :entry_id
    execute "ALTER TABLE shops ADD COLUMN better_plan varchar NOT NULL DEFAULT 'ask' " \
            "CHECK (better_plan IN ('ask', 'night'))"
    mark_entries_by_piece
  end

  # A touch is read of one piece.
  def mark_entries_by_piece
    execute "INSERT INTO marks (name, mark) SELECT DISTINCT 'entries/' || piece_id, random() FROM entries " \
            "WHERE piece_id IS NOT NULL GROUP BY piece_id"
    execute <<~SQL
      CREATE TRIGGER entries_mark_piece AFTER INSERT ON entries WHEN NEW.piece_id IS NOT NULL
      BEGIN
        INSERT INTO marks (name, mark) VALUES ('entries/' || NEW.piece_id, random())
          ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
      END
    SQL
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
