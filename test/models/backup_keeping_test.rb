require "test_helper"
require "minitest/mock"

# Which backups are kept.
class BackupKeepingTest < ActiveSupport::TestCase
  # One an hour for ten weeks: 24 of the last day, one of each of the 13 days before it, one of each of the weeks before
  # those, and no more.
  test "the last of each hour, day and week are kept" do
    now = Time.utc(2026, 11, 29, 23, 30)
    times = (0...24 * 70).map { |hours| now - hours.hours }
    kept = Shop::Backup::Keeping.kept(times, now: now)
    assert_equal 24, kept.count { |at| at > now - 1.day }
    assert_equal 13, kept.count { |at| at <= now - 1.day && at > now - 14.days }
    weeks = kept.select { |at| at <= now - 14.days }
    assert_equal weeks.size, weeks.map { |at| at.strftime("%G%V") }.uniq.size
    assert_includes 5..7, weeks.size
    assert_empty(weeks.select { |at| at <= now - 56.days })
  end

  test "the newest are kept however old they are" do
    old = [ 1, 2, 3, 4 ].map { |years| Time.utc(2026 - years) }
    assert_equal old.first(3), Shop::Backup::Keeping.kept(old, now: Time.utc(2026, 11, 29))
  end

  # Not with the first backups of a new shop, nor at each start.
  test "a restore is tried a day after the first backup, and each week" do
    now = Time.utc(2026, 11, 29, 12)
    backup = ->(ago) { Struct.new(:made_at).new(now - ago) }
    drill = Shop::Backup::Drill
    due = ->(all, last) { drill.stub(:last, last) { Shop::Backup.stub(:all, all) { drill.due?(now) } } }
    refute due.([], nil)
    refute due.([ backup.(1.minute), backup.(23.hours) ], nil)
    assert due.([ backup.(1.minute), backup.(25.hours) ], nil)
    tried = ->(ago) { drill::Result.new(backup: "x", at: now - ago, lines: []) }
    refute due.([ backup.(25.hours) ], tried.(6.days))
    assert due.([ backup.(25.hours) ], tried.(7.days))
  end

  test "a backup by the hour is made where something was written since the last, and what stops it is recorded" do
    set_up_shop
    Dir.mktmpdir("rhexon-backups") do |root|
      ENV["RHEXON_BACKUPS"] = root
      now = Time.utc(2026, 11, 24, 9)
      hourly = ->(after) { Shop::Backup::Clock.once(now: now + after)&.reason }
      assert_equal "by the hour", hourly.(0)
      make_piece(steps: [ coat("s1") ])
      assert_nil hourly.(59.minutes), "less than an hour"
      assert_equal "by the hour", hourly.(61.minutes)
      Shop::Backup.stub(:written, Shop::Backup.last.written) { assert_nil hourly.(3.hours), "nothing was written" }
      assert_nil Shop::Backup::Clock.drill(now: now + 3.hours), "not on the first day"
      Shop::Backup.stub(:keep!, ->(**) { raise Errno::ENOSPC }) do
        recorded = []
        Trouble.stub(:record, ->(error) { recorded << error }) { assert_nil hourly.(2.days) }
        assert_kind_of Errno::ENOSPC, recorded.sole
      end
    ensure
      ENV.delete("RHEXON_BACKUPS")
    end
  end
end
