class CreateTheRecord < ActiveRecord::Migration[7.2]
  def change
    create_boards
    create_schedules
    create_entries
  end

  private

  def create_boards
    create_table :boards do |t|
      t.string :name, null: false, index: { unique: true }
      t.references :piece, foreign_key: true
      t.string :wood, null: false
      t.string :grain, null: false
      t.string :timber_lot
      t.integer :width_mm, null: false
      t.integer :height_mm, null: false
      t.integer :margin_mm, null: false, default: 10
      t.integer :tape_mm, null: false, default: 12
      t.date :made_on, null: false
      t.timestamps
      t.check_constraint "width_mm BETWEEN 50 AND 3000 AND height_mm BETWEEN 50 AND 3000", name: "board_size"
    end

    create_table :cells do |t|
      t.references :board, null: false, foreign_key: true
      t.string :label, null: false
      t.integer :position, null: false
      t.json :layers, null: false, default: []
      t.string :ruined
      t.timestamps
      t.index %i[board_id label], unique: true
      t.index %i[board_id position], unique: true
      t.check_constraint "json_valid(layers)", name: "layers_are_json"
    end

    create_table :readings do |t|
      t.references :cell, null: false, foreign_key: true
      t.string :kind, null: false
      t.json :value, null: false
      t.string :observer
      t.string :light
      t.datetime :taken_at, null: false
      t.string :client_id, null: false, index: { unique: true }
      t.datetime :created_at, null: false
      t.check_constraint "kind IN ('lab','gloss','blotch','liking','note')", name: "reading_kind"
      t.check_constraint "json_valid(value)", name: "reading_is_json"
    end
  end

  def create_schedules
    create_table :schedules do |t|
      t.references :piece, null: false, foreign_key: true, index: { unique: true }
      t.references :from_cell, foreign_key: { to_table: :cells }
      t.bigint :head_id
      t.bigint :redo_id
      t.timestamps
    end

    create_table :revisions do |t|
      t.references :schedule, null: false, foreign_key: true
      t.integer :number, null: false
      t.references :parent, foreign_key: { to_table: :revisions }
      t.json :document, null: false
      t.json :operation, null: false
      t.string :reason, null: false
      t.datetime :created_at, null: false
      t.index %i[schedule_id number], unique: true
      t.check_constraint "json_valid(document)", name: "document_is_json"
    end
    add_foreign_key :schedules, :revisions, column: :head_id
    add_foreign_key :schedules, :revisions, column: :redo_id
  end

  def create_entries
    create_table :entries do |t|
      t.string :client_id, null: false, index: { unique: true }
      t.string :kind, null: false
      t.references :piece, foreign_key: true
      t.references :revision, foreign_key: true
      t.string :pass_key
      t.references :corrects, foreign_key: { to_table: :entries }, index: { unique: true }
      t.json :body, null: false, default: {}
      t.datetime :happened_at, null: false
      t.datetime :recorded_at, null: false
      t.check_constraint "kind IN ('started','done','dry_test','note','correction')", name: "entry_kind"
      t.check_constraint "json_valid(body)", name: "body_is_json"
      t.check_constraint "(kind = 'correction') = (corrects_id IS NOT NULL)", name: "a_correction_names_what_it_corrects"
    end
    append_only :entries
    append_only :revisions
    append_only :readings
  end

  # What happened is never rewritten.
  def append_only(table)
    %w[UPDATE DELETE].each do |verb|
      reversible do |direction|
        direction.up do
          execute <<~SQL
            CREATE TRIGGER #{table}_refuse_#{verb.downcase} BEFORE #{verb} ON #{table}
            BEGIN SELECT RAISE(ABORT, '#{table} are append-only'); END
          SQL
        end
        direction.down { execute "DROP TRIGGER #{table}_refuse_#{verb.downcase}" }
      end
    end
  end
end
