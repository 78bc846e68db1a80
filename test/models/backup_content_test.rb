require "test_helper"

# What two database files hold is the same, or it is said which tables differ.
class BackupContentTest < ActiveSupport::TestCase
  Content = Shop::Backup::Content

  def database(*rows)
    SQLite3::Database.new(":memory:").tap do |made|
      made.execute("CREATE TABLE coats (id INTEGER PRIMARY KEY, um REAL, words TEXT)")
      made.execute("CREATE TABLE rooms (id INTEGER PRIMARY KEY)")
      rows.each { |row| made.execute("INSERT INTO coats VALUES (?, ?, ?)", row) }
    end
  end

  test "the same rows are the same, in whichever order they were written" do
    one = database([ 1, 90.0, "first" ], [ 2, 70.5, nil ])
    other = database([ 2, 70.5, nil ], [ 1, 90.0, "first" ])
    assert_equal [ 2, 0 ], Content.of(one).values_at("coats", "rooms").map(&:first)
    assert_empty Content.differing(Content.of(one), Content.of(other))
  end

  test "a figure, a kind of figure, a row and a column that differ are told by their table" do
    held = Content.of(database([ 1, 90.0, "first" ]))
    differing = ->(made) { Content.differing(held, Content.of(made)) }
    assert_equal %w[coats], differing.(database([ 1, 90.1, "first" ]))
    assert_equal %w[coats], differing.(database([ 1, 90.0, nil ]))
    assert_equal %w[coats], differing.(database([ 1, 90.0, "first" ], [ 2, 1.0, "x" ]))
    wider = database([ 1, 90.0, "first" ]).tap { |made| made.execute("ALTER TABLE rooms ADD COLUMN name TEXT") }
    assert_equal %w[sqlite_master], differing.(wider)
    fewer = database([ 1, 90.0, "first" ]).tap { |made| made.execute("DROP TABLE rooms") }
    assert_equal %w[rooms sqlite_master], differing.(fewer)
  end
end
