require "minitest/autorun"
require "securerandom"
require "tmpdir"
require "time"
require_relative "../../core/test/test_share"
require_relative "../support/running_shop"

# Backups while people work, and the way back: from the page, from a shell, after damage. What was there is never lost.
class BackupTest < Minitest::Test
  def setup
    @root = Dir.mktmpdir("rhexon-backups")
    @shop = RunningShop.new("backup_#{Process.pid}_#{SecureRandom.hex(3)}", RHEXON_BACKUPS: @root)
    @shop.make
  end

  def teardown
    @shop.kill
    @shop.remove
    FileUtils.rm_rf(@root)
  end

  def touch(id, kind, coat = 1)
    { client_id: id, kind: kind, pass: "p1/s1/#{coat}/top", happened_at: Time.now.utc.iso8601 }
  end

  def backups = Dir.glob("#{@root}/*/*/backup.json").map { |file| File.dirname(file) }.sort
  def entries = @shop.count("SELECT count(*) FROM entries")

  # The server starts itself anew meanwhile.
  def answered
    100.times do
      response = yield
      return response if response.code == "200"
    rescue SystemCallError, EOFError, Net::ReadTimeout, IOError
      nil
    ensure
      sleep 0.2
    end
    flunk "The shop did not come back"
  end

  # A plain copy of the file while it is written to holds half of it: these hold what was acknowledged.
  def test_backups_made_while_people_work_hold_what_was_acknowledged_and_are_whole
    @shop.start
    acknowledged = 0
    hand = Thread.new do
      (1..12).each do |coat|
        %w[started done].each { |kind|
          acknowledged += 1 if @shop.post("/entries", touch("#{coat}#{kind}", kind, coat)).code == "200"
        }
      end
    end
    until hand.join(0)
      before = acknowledged
      made = @shop.post("/shop/backups", {})
      assert_equal "200", made.code, made.body[0, 300]
      newest = backups.last
      assert_equal "ok", `sqlite3 #{newest}/shop.sqlite3 "PRAGMA integrity_check"`.strip
      assert_operator `sqlite3 #{newest}/shop.sqlite3 "SELECT count(*) FROM entries"`.to_i, :>=, before
    end
    assert_operator backups.size, :>=, 2
    assert_equal "100600", File.stat("#{backups.last}/shop.sqlite3").mode.to_s(8), "nobody else reads the shop"
  end

  def test_the_way_back_from_the_page_keeps_what_was_there
    @shop.start(alone: true)
    @shop.post("/entries", touch("a", "started"))
    old = JSON.parse(@shop.post("/shop/backups", {}).body)["backups"].first
    @shop.post("/entries", touch("b", "done"))
    answer = JSON.parse(@shop.post("/shop/backups/#{old["id"]}/restore", {}).body)
    assert_equal 1, entries
    assert_equal "before #{old["id"]} was restored", answer["backups"].first["reason"]
    bench = JSON.parse(answered { @shop.get("/bench") }.body)["bench"]
    assert_equal [ "p1/s1/1/top" ], bench["running"].map { |row| row["key"] }
    assert_equal "200", answered { @shop.post("/shop/backups/#{answer["kept"]}/restore", {}) }.code
    assert_equal 2, entries
  end

  # Somebody who writes and does not stop: nothing is half restored, and the others are answered meanwhile.
  def test_a_file_that_is_written_to_all_the_time_is_not_restored_and_says_so
    @shop.start
    @shop.post("/entries", touch("a", "started"))
    old = JSON.parse(@shop.post("/shop/backups", {}).body)["backups"].first
    @shop.post("/entries", touch("b", "done"))
    kept = backups
    writer = IO.popen([ "sqlite3", @shop.file ], "r+")
    writer.puts("BEGIN IMMEDIATE; SELECT 'held';")
    assert_equal "held", writer.gets.chomp
    restoring = Thread.new { @shop.post("/shop/backups/#{old["id"]}/restore", {}) }
    waits = []
    until restoring.join(0.1)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      assert_equal "200", @shop.get("/handbook").code
      waits << (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began)
    end
    assert_equal "422", restoring.value.code
    assert_match(/so nothing was changed/, @shop.sentence(restoring.value))
    # What the restore itself waits for the lock is five seconds: whoever had to wait for it would take as long.
    assert_operator waits.sort[waits.size * 9 / 10], :<, 2.5, "the others wait: #{waits.max(3)}"
    assert_equal [ 2, kept ], [ entries, backups ]
  ensure
    writer&.close
  end

  # What was put in place is read again; a copy that did not come through is told.
  def test_what_is_not_the_same_afterwards_is_told
    said = @shop.rails("runner", <<~RUBY)
      old = Shop::Backup.make!(reason: "old", now: 1.minute.ago)
      Room.first.update!(name: "bench two")
      runs = 0
      whole = Shop::Backup::Copying.instance_method(:run!)
      Shop::Backup::Copying.define_method(:run!) { (runs += 1) == 2 ? finish : whole.bind_call(self) }
      begin
        Shop::Backup::Restoring.new(old).restore!
      rescue Shop::Backup::Unsound => error
        puts error.message
      end
      puts Shop::Backup.last.reason
    RUBY
    assert_match(/is not what the backup \S+ holds \((marks|rooms)/, said)
    assert_match(/before \S+ was restored/, said)
  end

  # Links, passwords and codes that were ended after the backup was made, and devices that were signed in.
  def test_what_was_ended_stays_ended
    said = @shop.rails("runner", <<~RUBY)
      imke = Person.first.tap { |person| person.update!(password: "chisel and cloth", code: "4711") }
      gone = Person.create!(name: "Bryn", password: "first of three")
      ended, kept = Array.new(2) { GuestLink.make!("handover", Piece.first) }
      Session.begin!(imke, device: "tablet")
      old = Shop::Backup.make!(reason: "old", now: 1.minute.ago)
      imke.update!(password: "second of three")
      imke.update!(password: "third of three")
      gone.update!(password_digest: nil)
      ended.first.end!
      AuditLine.note!("settings", changed: "after")
      Shop::Backup::Restoring.new(old).restore!
      links = [ ended, kept ].map { |_, token| GuestLink.of_token(token) ? "live" : "ended" }
      knows = [ "chisel and cloth", "second of three", "third of three", "4711" ].map { |secret| imke.reload.knows?(secret) }
      audited = AuditLine.where(kind: "settings").pluck(:detail)
      puts JSON.generate([ links, knows, gone.reload.signs_in?, Session.count, audited, File.stat(Shop::Ended.file).mode.to_s(8) ])
    RUBY
    assert_equal [ %w[ended live], [ false, false, true, true ], false, 0, [ { "changed" => "after" } ], "100600" ],
                 JSON.parse(said.lines.last)
  end

  # A folder that does not say what it is, is half let go of or half made, is no backup and troubles no page.
  def test_only_what_says_what_it_is_is_listed
    @shop.start
    @shop.post("/shop/backups", {})
    *before, whole = backups
    odd = [ "[]", "{}", "\xff", '{"made_at":7}', File.read("#{whole}/backup.json").sub(/"bytes": \d+/, '"bytes": 7') ]
    odd.each_with_index do |about, index|
      folder = "#{File.dirname(whole)}/2020010#{index}T000000Z"
      FileUtils.cp_r(whole, folder)
      File.binwrite("#{folder}/backup.json", about)
    end
    FileUtils.mkdir_p("#{File.dirname(whole)}/.going-20200109T000000Z")
    assert_equal "200", @shop.get("/shop/backups", accept: "text/html").code
    listed = JSON.parse(@shop.post("/shop/backups", {}).body)["backups"].map { |one| one["id"] }
    assert_equal [ *before, whole ].map { |path| File.basename(path) }.sort, listed.drop(1).sort
    assert_empty Dir.glob("#{File.dirname(whole)}/.going-*")
  end

  def test_a_damaged_file_is_told_never_written_over_and_restored_from_a_shell
    @shop.start
    @shop.post("/entries", touch("a", "started"))
    @shop.rails("shop:backup")
    @shop.kill
    File.open(@shop.file, "r+b") { |file| file.write("x" * 5000) }
    damaged = File.binread(@shop.file)
    out = @shop.fails("shop:check")
    assert_match(/is damaged/, out)
    assert_match(/The last sound backup is \d{8}T/, out)
    assert_match(%r{bin/rhexon-shop restore}, out)
    assert_equal damaged, File.binread(@shop.file)
    told = @shop.rails("shop:restore")
    aside = told[/The damaged file is kept as (\S+)\./, 1]
    assert_equal damaged, File.binread(aside)
    File.delete(*Dir.glob("#{aside}*"))
    assert_equal 1, entries
    @shop.rails("shop:check")
    @shop.start
    assert_equal "200", @shop.post("/entries", touch("b", "done")).code
  end

  # An older copy over the -wal that is left of a newer file reads as "malformed": restoring takes care of both.
  def test_what_is_left_of_a_killed_server_does_not_spoil_what_is_restored
    @shop.start
    @shop.post("/entries", touch("a", "started"))
    @shop.rails("shop:backup")
    @shop.post("/entries", touch("b", "done"))
    @shop.kill
    assert_path_exists "#{@shop.file}-wal"
    @shop.rails("shop:restore")
    assert_equal 1, entries
    assert_equal "ok", `sqlite3 #{@shop.file} "PRAGMA integrity_check"`.strip
  end

  def test_a_backup_that_was_changed_or_is_of_a_newer_rhexon_is_refused_in_words
    @shop.rails("shop:backup")
    folder = backups.last
    about = JSON.parse(File.read("#{folder}/backup.json"))
    File.write("#{folder}/backup.json", JSON.generate(about.merge("structure" => 20_990_101_000_000)))
    assert_match(/made by a newer Rhexon/, @shop.fails("shop:restore"))
    File.write("#{folder}/backup.json", JSON.generate(about))
    File.open("#{folder}/shop.sqlite3", "r+b") { |file| file.seek(5000) && file.write("x") }
    assert_match(/was changed since it was made/, @shop.fails("shop:restore", NAME: File.basename(folder)))
    assert_match(/There is no sound backup/, @shop.fails("shop:restore"))
  end

  # Beside the shop: compared, looked over, and every page read; nothing of it is left.
  def test_a_restore_is_tried_beside_the_shop
    began = Time.now
    assert_match(/no backup yet/, @shop.fails("shop:drill"))
    @shop.rails("shop:backup")
    tried = @shop.rails("shop:drill")
    assert_match(/holds the same.*Every piece can be planned.*Every page can be read/m, tried)
    assert_empty Dir.glob(File.join(File.dirname(@shop.file), "drill-*")).select { |path| File.mtime(path) > began }
    assert_match(/A restore was tried on .* and worked/, @shop.rails("shop:doctor"))
    File.write(Dir.glob("#{backups.last}/shop.sqlite3").first, "x", 9000)
    assert_match(/BAD .*was changed since it was made/, @shop.fails("shop:drill"))
    assert_match(/BAD .*and did not work/, @shop.fails("shop:doctor"))
  end

  # Another disk: sealed, with the photos once for all copies, and brought back where nothing is left here.
  def test_a_copy_in_a_second_place_comes_back_by_its_passphrase_alone
    second = File.join(@root, "second")
    passphrase = File.join(@root, "passphrase").tap { |file| File.write(file, "elm cloth 7 window\n") }
    there = { RHEXON_BACKUPS_SECOND: second, RHEXON_BACKUPS_PASSPHRASE_FILE: passphrase }
    @shop.rails("shop:backup", **there)
    assert_match(/lies in the second place, too/, @shop.rails("shop:doctor", **there))
    refute_includes File.binread(Dir.glob("#{second}/*/*/shop.sqlite3.sealed").first), "SQLite format 3"
    refute_empty backups
    backups.each { |folder| FileUtils.rm_rf(folder) }
    assert_match(/are sealed/, @shop.fails("shop:fetch", RHEXON_BACKUPS_SECOND: second))
    File.write(passphrase, "another one\n")
    assert_match(/another passphrase, or was changed/, @shop.fails("shop:fetch", **there))
    File.write(passphrase, "elm cloth 7 window\n")
    @shop.rails("shop:fetch", **there)
    assert_match(/Restored/, @shop.rails("shop:restore"))
    FileUtils.rm_rf(second)
    File.write(second, "no folder")
    @shop.rails("shop:backup", **there)
    assert_match(/BAD .*did not work/, @shop.fails("shop:doctor", **there))
  end

  def test_what_is_wrong_with_a_shop_is_found
    system("sqlite3", @shop.file, "DELETE FROM rooms", exception: true)
    said = @shop.fails("shop:doctor")
    assert_match(/BAD .*(planned|looked at)/, said)
    assert_match(/BAD .*no sound backup/, said)
    assert_match(/ok .*clock agrees/, said)
  end

  # Every hour in which something was written, and no other.
  def test_the_clock_makes_one_an_hour_where_something_was_written
    said = @shop.rails("runner", <<~RUBY)
      clock, now = Shop::Backup::Clock, Time.current
      made = [ clock.once(now: now), clock.once(now: now + 2.hours) ]
      schedule = Piece.first.schedule
      schedule.edit!({ "op" => "change_step", "id" => "s1", "set" => { "coats" => 3 } }, base: schedule.head.number, reason: "x")
      made += [ clock.once(now: now + 30.minutes), clock.once(now: now + 2.hours) ]
      puts made.map { |one| one ? "made" : "none" }.join(" ")
    RUBY
    assert_equal "made none none made", said.strip.lines.last
  end

  TestShare.draw_tests(self, quick: 3, ci: 2)
end
