# What goes before what, by job, and by piece where it differs; and plans keep promises unless they are told otherwise.
class SomeWorkGoesFirst < ActiveRecord::Migration[7.2]
  def up
    known = "CHECK (priority IN ('urgent', 'normal', 'when_time'))"
    execute "ALTER TABLE jobs ADD COLUMN priority varchar NOT NULL DEFAULT 'normal' #{known}"
    execute "ALTER TABLE pieces ADD COLUMN priority varchar #{known}"
    execute "UPDATE shops SET goal = 'promises' WHERE goal = 'soonest'"
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
