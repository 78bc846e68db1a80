# What plans, the shelf and what boards teach are made from is read once and kept: each write to its tables, by whatever
# hand, leaves another mark, so that it is read again. By chance and not counted: a count that was undone comes again.
class WhatIsWrittenLeavesAMark < ActiveRecord::Migration[7.2]
  TABLES = %w[
    shops people open_hours rooms climate_readings tools plans products consumables boards cells readings jobs pieces
    faces entries batches stock_moves mixes
  ].freeze

  def up
    create_table :marks, id: false do |t|
      t.string :name, null: false, primary_key: true
      t.integer :mark, limit: 8, null: false
    end
    TABLES.each do |table|
      %w[INSERT UPDATE DELETE].each do |verb|
        execute <<~SQL
          CREATE TRIGGER #{table}_mark_#{verb.downcase} AFTER #{verb} ON #{table}
          BEGIN
            INSERT INTO marks (name, mark) VALUES ('#{table}', random())
              ON CONFLICT (name) DO UPDATE SET mark = excluded.mark;
          END
        SQL
      end
    end
  end

  def down
    TABLES.each { |table| %w[insert update delete].each { |verb| execute "DROP TRIGGER #{table}_mark_#{verb}" } }
    drop_table :marks
  end
end
