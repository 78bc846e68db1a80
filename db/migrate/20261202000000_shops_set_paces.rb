# How fast the shop's hands are by what they do, where the owner says it: a factor on what is reckoned.
class ShopsSetPaces < ActiveRecord::Migration[7.2]
  def up = execute("ALTER TABLE shops ADD COLUMN paces json NOT NULL DEFAULT '{}' CHECK (json_valid(paces) AND length(paces) <= 2000)")
  def down = execute("ALTER TABLE shops DROP COLUMN paces")
end
