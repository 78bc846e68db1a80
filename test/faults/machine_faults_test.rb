require "minitest/autorun"
require "securerandom"
require "time"
require_relative "../support/running_shop"
require_relative "../../core/test/test_share"

# What happens to a shop when its process is killed, its disk is full or read-only, its file is locked, damaged or
# gone. Nothing acknowledged is lost; every answer is in words.
class MachineFaultsTest < Minitest::Test
  KILLS = Integer(ENV.fetch("KILLS") { { "quick" => 2, "ci" => 5, "full" => 20 }.fetch(TestShare::MODE) })
  COATS = 20
  PAGES = %w[/bench /pieces /pieces/plan /shelf /shop /mix].freeze

  def setup
    @shop = RunningShop.new("faults_#{Process.pid}_#{SecureRandom.hex(3)}")
    @shop.make
  end

  def teardown
    @shop.kill
    @shop.remove
  end

  def touch(id, kind, coat, **more)
    { client_id: id, kind: kind, pass: "p1/s1/#{coat}/top", happened_at: Time.now.utc.iso8601, **more }
  end

  # Coats are begun and done in turn; after the last one its film is tested, again and again.
  # @param at [Integer] the how many-th touch
  def work(at)
    coat, kind = at.divmod(2)
    return touch("touch-#{at}", kind.zero? ? "started" : "done", coat + 1) if coat < COATS

    touch("touch-#{at}", "dry_test", COATS, milestone: "handle", answer: "not_yet")
  end

  def assert_told(response, status, words)
    assert_equal status.to_s, response.code, response.body[0, 300]
    assert_match words, @shop.sentence(response)
  end

  # Touches are sent one after the other while the process is killed at odd moments; what was not acknowledged is sent
  # again with its own id.
  def test_kills_lose_no_acknowledged_touch_and_make_none_twice
    random = Random.new(7)
    acknowledged = 0
    KILLS.times do
      @shop.start
      wanted = acknowledged + 2
      killer = Thread.new do
        sleep(0.05) until acknowledged >= wanted
        sleep(random.rand * 2.5) and @shop.kill
      end
      begin
        loop do
          acknowledged += 1 if @shop.post("/entries", work(acknowledged)).code == "200"
        end
      rescue EOFError, SystemCallError, Net::ReadTimeout, IOError
        nil
      end
      killer.join
    end
    assert_operator acknowledged, :>=, 2 * KILLS, "too few touches came through to tell anything"
    kept = @shop.rows("SELECT client_id FROM entries ORDER BY id")
    assert_equal Array.new(acknowledged) { |at| "touch-#{at}" }, kept.first(acknowledged), "each once, in its order"
    assert_operator kept.size - acknowledged, :<=, 1, "but for one whose answer was lost"
    puts "#{KILLS} kills, #{acknowledged} touches, none lost"
    assert_equal "ok", `sqlite3 #{@shop.file} "PRAGMA integrity_check"`.strip
  end

  def test_every_commit_waits_for_the_disk
    assert_match(
      /synchronous=2/,
      @shop.rails(
        "runner",
        'pragma = ->(name) { ApplicationRecord.connection.select_value("PRAGMA #{name}") }; ' \
        'puts "synchronous=#{pragma.("synchronous")} journal=#{pragma.("journal_mode")}"'
      )
    )
  end

  def test_a_lock_that_is_held_is_told_and_the_touch_goes_out_afterwards
    @shop.start
    @shop.get("/bench")
    holder = IO.popen([ "sqlite3", @shop.file ], "r+")
    holder.puts("BEGIN EXCLUSIVE; UPDATE shops SET name = name; SELECT 'held';")
    assert_equal "held", holder.gets.strip
    assert_told @shop.post("/entries", touch("t1", "started", 1)), 503, /busy just now.*try again/
    holder.puts("ROLLBACK;")
    holder.close
    assert_equal "200", @shop.post("/entries", touch("t1", "started", 1)).code
    assert_equal 1, @shop.count("SELECT COUNT(*) FROM entries")
  end

  def test_a_full_disk_is_told_and_pages_can_still_be_read
    @shop.start(fault: "full")
    answers = Array.new(120) { |index|
      @shop.post("/shop/tool", { name: "gun #{index} #{"x" * 150}", used_for: "spray" })
    }
    refused = answers.find { |response| response.code == "503" }
    assert refused, "the disk never got full"
    assert_told refused, 503, /disk of the shop's computer is full/
    PAGES.each { |page| assert_equal "200", @shop.get(page, accept: "text/html").code, page }
  end

  def test_a_read_only_file_is_told_and_pages_can_still_be_read
    @shop.start(fault: "readonly")
    assert_told @shop.post("/entries", touch("t1", "started", 1)), 503, /can only be read/
    assert_told @shop.get("/up"), 503, /can only be read/
    PAGES.each { |page| assert_equal "200", @shop.get(page, accept: "text/html").code, page }
  end

  def test_a_damaged_file_is_told_by_every_page_and_by_up
    @shop.start
    @shop.kill("TERM")
    File.open(@shop.file, "r+b") do |file|
      (1..file.size / 4096 - 1).each { |number| file.seek(number * 4096) && file.write("\xA5" * 2048) }
    end
    Dir.glob("#{@shop.file}-*").each { |found| File.delete(found) }
    @shop.start
    assert_told @shop.get("/up"), 503, /damaged/
    PAGES.each do |page|
      response = @shop.get(page)
      assert_includes %w[503], response.code, "#{page} #{response.body[0, 200]}"
      assert_match(/damaged/, @shop.sentence(response))
      assert_includes %w[503], @shop.get(page, accept: "text/html").code
    end
  end

  def test_an_empty_file_is_told_and_not_filled
    @shop.remove
    File.write(@shop.file, "")
    @shop.start
    assert_told @shop.get("/up"), 503, /missing or empty/
    assert_told @shop.get("/bench"), 503, /missing or empty/
    assert_equal "503", @shop.get("/bench", accept: "text/html").code
  end

  # A shop that was begun is not begun anew by itself.
  def test_start_asks_before_it_begins_a_new_shop_where_one_was
    name = File.basename(@shop.file, ".sqlite3")
    begun = File.join(RunningShop::ROOT, "storage/#{name}.begun")
    File.write(begun, "2026-11-02\n")
    @shop.remove
    out, status = Open3.capture2e(@shop.env, File.join(RunningShop::ROOT, "bin/start"), chdir: RunningShop::ROOT)
    refute_predicate status, :success?
    assert_match(/begun here on 2026-11-02.*missing or empty/, out)
    refute_path_exists @shop.file
  ensure
    File.delete(begun)
  end

  TestShare.draw_tests(self, quick: 3, ci: 2)
end
