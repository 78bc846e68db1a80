require "test_helper"
require "zip"

# An archive is read no further than it may: what is wrong with it is told before, or while, it is unpacked.
class ArchiveContentsTest < ActiveSupport::TestCase
  setup { @file = Pathname(Dir.mktmpdir("rhexon-archive")).join("shop.zip") }
  teardown { FileUtils.rm_rf(@file.dirname) }

  def archive(**files)
    FileUtils.rm_f(@file)
    Zip::File.open(@file.to_s, Zip::File::CREATE) do |zip|
      files.each { |name, text| zip.get_output_stream(name.to_s) { |out| out.write(text) } }
    end
  end

  def opened(&) = Shop::Archive::Contents.open(@file, &)

  def refusal(&block) = assert_raises(Rhexon::InvalidInput) { opened(&(block || ->(*) { })) }.message

  test "rows come one by one, across pieces, with and without a last line end" do
    long = "x" * 70_000
    archive("tables/faces.jsonl": "a\n#{long}\nä", "archive.json": "{\"format\":\"f\"}")
    lines = []
    opened do |contents|
      assert contents.each_line("faces") { |line| lines << line }
      refute(contents.each_line("pieces") { flunk })
      assert_equal({ "format" => "f" }, contents.about)
    end
    assert_equal [ "a", long, "ä" ], lines
  end

  test "names that are none, and one name in another's place" do
    archive("../out": "x")
    assert_match(/does not belong in one: \.\.\/out/, refusal)
    archive("tables/faces.jsonl/x": "x")
    assert_match(/does not belong/, refusal)
  end

  test "no zip, no description, a description that is none" do
    @file.binwrite("no archive")
    assert_match(/cannot be read/, refusal)
    archive("tables/faces.jsonl": "")
    assert_match(/does not say what it is/, refusal(&:about))
    archive("archive.json": "{")
    assert_match(/does not say what it is/, refusal(&:about))
  end

  test "what unpacks to far more than it is, and photos of nothing" do
    archive("tables/faces.jsonl": "0" * 11.megabytes)
    assert_match(/unpacks to more than it can hold/, refusal)
    archive("photos/#{"a" * 28}": "")
    assert_match(/is empty/, refusal)
  end

  test "a row that does not end" do
    archive("tables/faces.jsonl": SecureRandom.hex(2_200_000))
    assert_match(/A row of faces is too large/, refusal { |contents| contents.each_line("faces") { } })
  end

  test "a photo comes byte by byte" do
    bytes = Random.new(1).bytes(150_000)
    archive("photos/#{"a" * 28}": bytes)
    opened do |contents|
      assert_equal [ "a" * 28 ], contents.photos
      contents.photo!("a" * 28, @file.dirname.join("out"))
    end
    assert_equal bytes, @file.dirname.join("out").binread
  end
end
