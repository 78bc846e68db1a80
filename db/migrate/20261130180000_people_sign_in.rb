# People sign in, with a role; what they log and change names them; guests get a link to one page.
class PeopleSignIn < ActiveRecord::Migration[7.2]
  # SQLite adds columns where they stand; tables that are rebuilt would lose their triggers.
  def up
    execute "ALTER TABLE people ADD COLUMN role varchar NOT NULL DEFAULT 'finisher' " \
            "CHECK (role IN ('owner', 'finisher', 'student'))"
    execute "ALTER TABLE people ADD COLUMN password_digest varchar"
    execute "ALTER TABLE people ADD COLUMN code_digest varchar"
    execute "ALTER TABLE entries ADD COLUMN person_id integer REFERENCES people(id)"
    execute "ALTER TABLE revisions ADD COLUMN person_id integer REFERENCES people(id)"
    create_sessions
    create_guest_links
  end

  def down
    drop_table :guest_links
    drop_table :sessions
    execute "ALTER TABLE revisions DROP COLUMN person_id"
    execute "ALTER TABLE entries DROP COLUMN person_id"
    %w[code_digest password_digest role].each { |name| execute "ALTER TABLE people DROP COLUMN #{name}" }
  end

  private

  def create_sessions
    create_table :sessions do |t|
      t.references :person, null: false, foreign_key: true
      t.references :hands, foreign_key: { to_table: :people }
      t.json :known, null: false, default: []
      t.string :token_digest, null: false, index: { unique: true }
      t.string :device, null: false
      t.datetime :created_at, null: false
      t.datetime :seen_at, null: false
      t.check_constraint "json_valid(known)", name: "known_is_json"
    end
  end

  def create_guest_links
    create_table :guest_links do |t|
      t.string :kind, null: false
      t.string :token_digest, null: false, index: { unique: true }
      t.references :piece, foreign_key: true
      t.references :job, foreign_key: true
      t.references :cell, foreign_key: true
      t.references :person, foreign_key: true
      t.datetime :created_at, null: false
      t.boolean :names, null: false, default: false
      t.datetime :ends_at
      t.datetime :ended_at
      t.datetime :seen_at
      t.check_constraint "kind IN ('handover', 'approval')", name: "guest_link_kind"
      t.check_constraint "(piece_id IS NOT NULL) + (job_id IS NOT NULL) + (cell_id IS NOT NULL) = 1",
                         name: "guest_link_is_of_one"
    end
  end
end
