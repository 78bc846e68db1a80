require "test_helper"

# Backups that lie in a second place: readable by their passphrase alone, and whole or refused.
class SealedTest < ActiveSupport::TestCase
  setup do
    @folder = Pathname(Dir.mktmpdir("rhexon-sealed"))
    @seal = Shop::Backup::Sealed.new("three words and a number 7")
  end

  teardown { FileUtils.rm_rf(@folder) }

  def path(name) = @folder.join(name)

  def unsealed(bytes)
    path("changed").binwrite(bytes)
    @seal.unseal!(path("changed"), path("out"))
    path("out").binread
  rescue Shop::Backup::Unsound => refusal
    refute_path_exists path("out")
    refusal.message
  ensure
    FileUtils.rm_f(path("out"))
  end

  # Nothing, less than a piece, exactly one, one and a byte, three.
  test "what is sealed comes back byte by byte, and nothing of it shows" do
    [ 0, 7, 1.megabyte, 1.megabyte + 1, 3.megabytes ].each do |size|
      plain = Random.new(size).bytes(size)
      path("plain").binwrite(plain)
      @seal.seal!(path("plain"), path("sealed"))
      refute_includes path("sealed").binread, plain[0, 64] if size > 64
      @seal.unseal!(path("sealed"), path("out"))
      assert_equal plain, path("out").binread, size
    end
    assert_equal "100600", path("sealed").stat.mode.to_s(8)
  end

  test "another passphrase, a changed bit, a piece left out, moved or cut off" do
    path("plain").binwrite(Random.new(1).bytes(2.megabytes + 5))
    @seal.seal!(path("plain"), path("sealed"))
    whole = path("sealed").binread
    head = Shop::Backup::Sealed::MAGIC.bytesize + 24
    piece = 1.megabyte + 16
    flipped = whole.dup.tap { |bytes| bytes.setbyte(head + 70, bytes.getbyte(head + 70) ^ 1) }
    swapped = whole[0, head] + whole[head + piece, piece] + whole[head, piece] + whole[(head + 2 * piece)..]
    cut = [ flipped, swapped, whole[0, head + piece] + whole[(head + 2 * piece)..], whole[0, head + 2 * piece],
            whole[0, whole.bytesize - 1] ]
    cut.each { |bytes| assert_match(/another passphrase, or was changed/, unsealed(bytes)) }
    assert_match(/is cut off/, unsealed(whole[0, head + 3]))
    assert_match(/is not sealed by Rhexon/, unsealed("anything"))
    @seal = Shop::Backup::Sealed.new("three words and a number 8")
    assert_match(/another passphrase/, unsealed(whole))
  end

  # A backup of this database, as it is without what the test's own transaction holds.
  def backup(at)
    ENV["RHEXON_BACKUPS"] = path("backups").to_s
    Shop::Backup.make!(reason: "by hand", now: at)
  ensure
    ENV.delete("RHEXON_BACKUPS")
  end

  def fetch(elsewhere, name = nil)
    ENV["RHEXON_BACKUPS"] = path("fetched").to_s
    elsewhere.fetch!(name)
  ensure
    ENV.delete("RHEXON_BACKUPS")
  end

  test "copies in a second place come back whole, sealed or not, and go by the same rule" do
    first, second = backup(Time.utc(2026, 11, 22, 8)), backup(Time.utc(2026, 11, 23, 6))
    [ nil, "three words and a number 7" ].each do |passphrase|
      elsewhere = Shop::Backup::Elsewhere.new(path("second #{passphrase}"), passphrase)
      [ first, second ].each { |one| elsewhere.put!(one) }
      assert_equal [ second.name, first.name ], elsewhere.names
      sealed = path("second #{passphrase}").glob("*/shop.sqlite3*").map { |file| file.extname }.uniq
      assert_equal [ passphrase ? ".sealed" : ".sqlite3" ], sealed
      assert_equal second.about, fetch(elsewhere).about
      assert_equal first.about, fetch(elsewhere, first.name).about
      FileUtils.rm_rf(path("fetched"))
    end
    without = Shop::Backup::Elsewhere.new(path("second three words and a number 7"), nil)
    assert_match(/are sealed/, assert_raises(Rhexon::InvalidInput) { fetch(without) }.message)
    unknown = assert_raises(Rhexon::InvalidInput) { fetch(without, "20200101T000000Z") }
    assert_match(/There is no backup 20200101T000000Z/, unknown.message)
    old = backup(Time.utc(2026, 1, 1))
    4.times { |day| without.put!(backup(Time.utc(2026, 11, 18 + day))) }
    without.put!(old)
    refute_includes without.names, old.name
  end
end
