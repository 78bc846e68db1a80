require "minitest/autorun"
require "securerandom"
require "tmpdir"
require "digest"
require "zip"
require_relative "../../core/test/test_share"
require_relative "../support/running_shop"

# The whole shop out as one file and into an empty one with nothing lost; and files that are not what they say.
class ArchiveTest < Minitest::Test
  def setup
    @folder = Dir.mktmpdir("rhexon-archive")
    @shops = []
  end

  def teardown
    @shops.each(&:remove)
    FileUtils.rm_rf(@folder)
  end

  def shop(**more)
    RunningShop.new("archive_#{Process.pid}_#{SecureRandom.hex(3)}", **more).tap { |one| @shops << one }
  end

  def file(name) = File.join(@folder, name)

  # Every table row by row, and every photo byte by byte.
  def all_of(shop)
    tables = `sqlite3 #{shop.file} "SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name"`.split
    kept = tables.grep_v(/\A(sqlite_|schema_migrations|ar_internal_metadata|marks|entry_words)/)
    rows = kept.to_h { |table| [ table, `sqlite3 #{shop.file} "SELECT * FROM #{table} ORDER BY rowid"` ] }
    photos = Dir.glob("#{shop.photos}/**/*").select { |path| File.file?(path) }
    [ rows, photos.to_h { |path| [ File.basename(path), Digest::SHA256.file(path).hexdigest ] } ]
  end

  def test_the_demo_goes_out_and_into_an_empty_shop_with_nothing_lost
    from = shop(RHEXON_DEMO: "1")
    from.make_demo
    out = from.rails("shop:export", FILE: file("shop.zip"))
    assert_match(/\d+ rows of \d+ tables, [1-9]\d* photos/, out)
    names = Zip::File.open(file("shop.zip")) { |archive| archive.entries.map(&:name) }
    assert_includes names, "record.csv"
    into = shop
    into.rails("shop:import", FILE: file("shop.zip"))
    before, after = all_of(from), all_of(into)
    assert_operator before.first.size, :>, 30
    before.first.each { |table, rows| assert_equal rows, after.first[table], table }
    assert_equal before.last, after.last
    refute_empty after.last
    assert_equal "ok", `sqlite3 #{into.file} "PRAGMA integrity_check"`.strip
    assert_match(/There is a shop here already/, into.fails("shop:import", FILE: file("shop.zip")))
    said = into.rails("runner", "floor = ShopFloor.new; puts [ floor.plan.placements.any?, floor.aside ].inspect")
    assert_match(/\[true, \[\]\]/, said)
  end

  # The sound archive of a small shop, changed.
  def spoilt(name)
    FileUtils.cp(file("sound.zip"), file("#{name}.zip"))
    Zip::File.open(file("#{name}.zip")) { |archive| yield archive }
    name
  end

  # Its directory says that a file in it is one byte long.
  def lie(name, inner)
    bytes = File.binread(file(name))
    at = bytes.rindex("PK\x01\x02".b, bytes.rindex(inner.b))
    bytes[at + 24, 4] = [ 1 ].pack("V")
    File.binwrite(file(name), bytes)
  end

  # @param change [Hash] of the one row of shops
  def of_shop(archive, change)
    put(archive, "tables/shops.jsonl", JSON.generate(JSON.parse(archive.read("tables/shops.jsonl")).merge(change)))
  end

  def put(archive, name, text) = archive.get_output_stream(name) { |out| out.write(text) }
  def about(archive) = JSON.parse(archive.read("archive.json"))

  def hostile
    File.binwrite(file("text.zip"), "no archive")
    File.binwrite(file("cut.zip"), File.binread(file("sound.zip"))[0, 2000])
    FileUtils.cp(file("sound.zip"), file("liar.zip"))
    lie("liar.zip", "tables/faces.jsonl")
    Zip::OutputStream.open(file("many.zip")) do |out|
      60_000.times { |at| out.put_next_entry(format("photos/%028x", at), nil, nil, Zip::Entry::STORED) }
    end
    claims = ->(archive, change) { put(archive, "archive.json", JSON.generate(about(archive).merge(change))) }
    {
      "text" => /cannot be read/, "cut" => /cannot be read/,
      spoilt("path") { |one| put(one, "../../../tmp/out", "x") } => /does not belong/,
      spoilt("other") { |one| put(one, "tables/../x.jsonl", "x") } => /does not belong/,
      spoilt("newer") { |one| claims.(one, "structure" => 2**61) } => /newer Rhexon/,
      spoilt("format") { |one| claims.(one, "format" => "x") } => /no archive of a shop/,
      spoilt("mute") { |one| one.remove("archive.json") } => /does not say what it is/,
      spoilt("short") { |one| put(one, "tables/faces.jsonl", "") } => /not whole/,
      spoilt("bomb") { |one| put(one, "tables/faces.jsonl", "0" * 60_000_000) } => /unpacks to more/,
      spoilt("column") { |one| of_shop(one, "rights" => "all") } => /no row of it/,
      spoilt("nested") { |one| of_shop(one, "name" => { "a" => 1 }) } => /no row of it/,
      spoilt("sql") { |one|
        of_shop(one, "name) VALUES (1); DROP TABLE shops; --" => 1)
      } => /no row of it/,
      spoilt("zone") { |one| of_shop(one, "zone" => "Nowhere") } => /Shop 1 of the archive cannot be kept/,
      spoilt("nothing") { |one| put(one, "photos/#{"a" * 28}", "") } => /is empty/,
      spoilt("stranger") { |one| put(one, "photos/#{"a" * 28}", "x") } => /belongs to nothing/,
      spoilt("row") { |one|
        put(one, "tables/faces.jsonl", SecureRandom.hex(3_000_000))
      } => /A row of faces is too large/,
      spoilt("bytes") { |one| put(one, "tables/faces.jsonl", "\xff\xfe\n") } => /no row of it/,
      "liar" => /is larger than it says|cannot be read/, "many" => /too much in it/,
      spoilt("long") { |one| of_shop(one, "name" => "x" * 5000) } => /cannot be kept/
    }
  end

  def test_files_that_are_not_what_they_say_are_refused_in_words_and_nothing_is_kept
    from = shop
    from.make
    from.rails("shop:export", FILE: file("sound.zip"))
    wanted = hostile
    into = shop
    into.make_empty
    said = into.rails("runner", <<~RUBY)
      #{wanted.keys.inspect}.each do |name|
        began = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
        Shop::Archive.read!(Pathname("#{@folder}").join("\#{name}.zip"))
        puts "\#{name}: taken in"
      rescue Rhexon::InvalidInput => refusal
        puts "\#{name}: \#{refusal.message} \#{[ Shop, Piece, Entry ].sum(&:count)}"
      ensure
        took = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - began
        puts "\#{name} slow: \#{took} 0" if took > 10
      end
      puts "memory: \#{File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024} 0"
    RUBY
    lines = said.lines(chomp: true).select { |line| line.include?(": ") }.to_h { |line| line.split(": ", 2) }
    assert_empty lines.keys.grep(/slow/), "told for ten seconds of reckoning at most"
    assert_operator lines.fetch("memory").to_i, :<, 400, "MB at most, with the application itself"
    wanted.each do |name, words|
      assert_match words, lines.fetch(name), name
      assert_match(/ 0\z/, lines.fetch(name), "#{name}: nothing is kept")
    end
    assert_empty Dir.glob("#{into.photos}/**/*").select { |path| File.file?(path) }
    refute_path_exists "/tmp/out"
    into.rails("shop:import", FILE: file("sound.zip"))
  end

  TestShare.draw_tests(self, quick: 3, ci: 2)
end
