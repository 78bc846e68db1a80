# The nearest kind of wood that has colour figures, for a piece of a wood that has none. A column is added by itself: a
# table that SQLite rebuilds would lose its triggers.
class NearestKindOfWood < ActiveRecord::Migration[7.2]
  def up = execute("ALTER TABLE pieces ADD COLUMN wood_like varchar CHECK (length(wood_like) <= 40)")
  def down = remove_column(:pieces, :wood_like)
end
