require "test_helper"
require "open3"
require "tmpdir"

# Migrations are never changed after they have run: a database of every earlier structure, with records in it, comes
# to today's and takes every kind of record.
class OlderDatabasesTest < ActiveSupport::TestCase
  test "databases of every earlier structure are brought to today's and can be written" do
    all = Rails.root.glob("test/databases/*.sql").sort
    drawn = all.last(2) | TestShare.of(name, all, most_parts: 8)
    Dir.mktmpdir do |folder|
      out, status = Open3.capture2e({ "RAILS_ENV" => "test" }, Rails.root.join("bin/rails").to_s, "runner",
                                    Rails.root.join("test/support/older_databases.rb").to_s, folder,
                                    *drawn.map(&:to_s))
      told = out.lines.filter_map { |line| JSON.parse(line) if line.start_with?("{") }
      assert_predicate status, :success?, out
      assert_equal drawn.size, told.size, out
      told.each do |found|
        assert_equal [ nil, true, [] ], [ found["error"], found["same"], found["written"]&.first ], found.to_s
      end
    end
  end

  # What has run somewhere stays as it was: a change to it reaches no database that has run it.
  test "no migration is newer than its name, and none that ran was changed" do
    sums = Rails.root.join("db/migrate").children.sort.to_h do |file|
      [ file.basename.to_s, Digest::SHA256.file(file).hexdigest.first(16) ]
    end
    known = JSON.parse(Rails.root.join("test/databases/migrations.json").read)
    assert_equal known, sums.slice(*known.keys), "a migration was changed: write a new one instead"
    assert_empty sums.keys - known.keys, "add the new migration to test/databases/migrations.json once it is final"
  end
end
