# How a piece is formed, for the hours it takes: what a hand chose, and what the sizes of its faces say.
class WorkHasAShape < ActiveRecord::Migration[7.2]
  # SQLite adds a column where it stands; a table that is rebuilt would lose its triggers.
  SHAPES = "'flat', 'frame', 'profiled', 'turned', 'carved'".freeze

  def up
    %w[pieces faces].each do |table|
      execute "ALTER TABLE #{table} ADD COLUMN shape varchar CHECK (shape IS NULL OR shape IN (#{SHAPES}))"
    end
  end

  def down
    %w[pieces faces].each { |table| execute "ALTER TABLE #{table} DROP COLUMN shape" }
  end
end
