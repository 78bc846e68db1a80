require "test_helper"
require "support/pictures"
require "minitest/mock"

# What is well in a shop and what is not, told thing by thing.
class DoctorTest < ActiveSupport::TestCase
  include Pictures

  setup do
    @root = Dir.mktmpdir("rhexon-backups")
    ENV["RHEXON_BACKUPS"] = @root
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    log(@piece, "s1/1/top", "done", 1.hour.ago)
  end

  teardown do
    %w[RHEXON_BACKUPS RHEXON_BACKUPS_SECOND].each { |name| ENV.delete(name) }
    FileUtils.rm_rf(@root)
  end

  def told(of, now: Time.current) = Shop::Doctor.new(now: now).findings([ of ]).sole

  test "a shop that is well" do
    Shop::Doctor.new.findings(%i[structure pieces entries photos disk clock]).each do |finding|
      assert finding.good, finding.sentence
    end
    assert_nil told(:versions).good
  end

  test "a piece that cannot be planned is named with its reason, and the others are looked at" do
    make_piece(name: "Stool", steps: [ coat("s1") ])
    poison(@piece)
    finding = told(:pieces)
    refute finding.good
    assert_match(/\ADesk top cannot be planned or drawn: Stain cannot use/, finding.sentence)
    refute_match(/Stool/, finding.sentence)
  end

  test "a clock that stands before the log" do
    refute told(:clock, now: 2.years.ago).good
    assert told(:clock, now: 2.minutes.ago).good, "seconds are no reason"
  end

  test "a photo that is missing or was changed" do
    photo = Photo.take!(StringIO.new(picture), client_id: "p", piece: @piece)
    assert told(:photos).good
    path = ActiveStorage::Blob.service.path_for(photo.image.key)
    File.binwrite(path, "x")
    assert_match(/\APhotos are missing or changed: photo.jpg/, told(:photos).sentence)
    File.delete(path)
    refute told(:photos).good
  end

  test "backups that are not there, and the second place where one is named" do
    assert_equal [ false, "There is no sound backup." ], told(:backups).to_h.values_at(:good, :sentence)
    assert_nil told(:second).good
    ENV["RHEXON_BACKUPS_SECOND"] = File.join(@root, "second")
    FileUtils.mkdir_p(Shop::Backup.root)
    write = ->(error) { Shop::Backup.root.join("second.json").write(JSON.generate(backup: "x", error: error)) }
    write.(nil)
    assert told(:second).good
    write.("The disk is gone")
    assert_equal "The last copy to the second place did not work: The disk is gone.", told(:second).sentence
  end

  test "a restore that was tried" do
    assert_nil told(:drill).good
    FileUtils.mkdir_p(Shop::Backup.root)
    write = ->(good) {
      Shop::Backup.root.join("drill.json").write(
        JSON.generate(backup: "20261122T080000Z", at: "2026-11-22T08:00:00Z",
                      lines: [ { of: "pages", good: good, sentence: "x" } ])
      )
    }
    write.(true)
    assert_equal "A restore was tried on 2026-11-22 and worked.", told(:drill).sentence
    write.(false)
    refute told(:drill).good
  end

  test "what cannot be looked at is told as such" do
    Open3.stub(:capture2, ->(*) { raise Errno::ENOENT, "df" }) do
      assert_equal [ false, "This could not be looked at: No such file or directory - df" ],
                   told(:disk).to_h.values_at(:good, :sentence)
    end
  end
end
