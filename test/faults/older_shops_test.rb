require "minitest/autorun"
require "securerandom"
require "zlib"
require_relative "../../core/test/test_share"
require_relative "../support/running_shop"

# Shops as earlier versions have left them, full of work: brought up to date they are read and written like any other.
class OlderShopsTest < Minitest::Test
  SHOPS = Dir[File.expand_path("../databases/shops/*.sqlite3.gz", __dir__)].sort.freeze

  def teardown = @shop&.remove

  def test_shops_of_earlier_versions_open_with_every_page_and_every_write
    TestShare.of(name, SHOPS, most_parts: SHOPS.size).each do |kept|
      @shop = RunningShop.new("older_#{Process.pid}_#{SecureRandom.hex(3)}", RHEXON_DEMO: "1")
      File.binwrite(@shop.file, Zlib::GzipReader.open(kept, &:read))
      @shop.rails("db:prepare")
      said = JSON.parse(@shop.rails("runner", "test/support/every_write.rb").lines.last)
      assert_equal({ "pages" => [], "findings" => [], "writes" => [], "after" => [] }, said, kept)
      @shop.remove
    end
  end

  TestShare.draw_tests(self, quick: 3, ci: 2)
end
