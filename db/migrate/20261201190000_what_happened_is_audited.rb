# Who came in, who was refused, and what was given, taken, sent out and put back: append-only. A session knows when its
# password was given last, a link may be for one name, and a password may ask for a second step.
class WhatHappenedIsAudited < ActiveRecord::Migration[7.2]
  def up
    execute <<~SQL
      CREATE TABLE audit_lines (
        id integer PRIMARY KEY AUTOINCREMENT NOT NULL, kind varchar NOT NULL CHECK (length(kind) <= 40),
        at datetime(6) NOT NULL, person_id integer REFERENCES people(id), "by" varchar CHECK (length("by") <= 200),
        device varchar CHECK (length(device) <= 80), address varchar CHECK (length(address) <= 60),
        detail json DEFAULT '{}' NOT NULL CHECK (json_valid(detail))
      )
    SQL
    add_index :audit_lines, %i[kind at]
    execute "CREATE TRIGGER audit_lines_refuse_update BEFORE UPDATE ON audit_lines BEGIN " \
            "SELECT RAISE(ABORT, 'audit_lines are append-only'); END"
    execute "CREATE TRIGGER audit_lines_refuse_delete BEFORE DELETE ON audit_lines BEGIN " \
            "SELECT RAISE(ABORT, 'audit_lines are append-only'); END"
    execute "ALTER TABLE sessions ADD COLUMN confirmed_at datetime(6)"
    execute "ALTER TABLE guest_links ADD COLUMN for_name varchar CHECK (length(for_name) <= 80)"
    execute "ALTER TABLE people ADD COLUMN second_secret varchar CHECK (length(second_secret) <= 64)"
    execute "ALTER TABLE people ADD COLUMN second_used_at integer"
  end

  def down
    execute "ALTER TABLE people DROP COLUMN second_used_at"
    execute "ALTER TABLE people DROP COLUMN second_secret"
    execute "ALTER TABLE guest_links DROP COLUMN for_name"
    execute "ALTER TABLE sessions DROP COLUMN confirmed_at"
    drop_table :audit_lines
  end
end
