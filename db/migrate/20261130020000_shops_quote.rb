# What an hour costs, waste, margin and tax: what quotes are reckoned with.
class ShopsQuote < ActiveRecord::Migration[7.2]
  def up = execute("ALTER TABLE shops ADD COLUMN terms json NOT NULL DEFAULT '{}' CHECK (json_valid(terms) AND length(terms) <= 2000)")
  def down = execute("ALTER TABLE shops DROP COLUMN terms")
end
