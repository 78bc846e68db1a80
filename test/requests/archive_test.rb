require "test_helper"

# The whole shop as a file, from its page and into its first page; what the file holds is test/faults/archive_test.rb.
class ArchiveRequestTest < RequestTest
  test "a shop that is there takes none in, and none that is no archive" do
    file = Rack::Test::UploadedFile.new(StringIO.new("no archive"), "application/zip", original_filename: "x.zip")
    post "/begin/archive", params: { file: file }, headers: { "ACCEPT" => "application/json" }
    assert_response :unprocessable_entity
    assert_match(/cannot be read/, sentence)
    assert_equal 0, Shop.count
    set_up_shop
    file.rewind
    post "/begin/archive", params: { file: file }, headers: { "ACCEPT" => "application/json" }
    assert_match(/There is a shop here already/, sentence)
    post "/begin/archive", params: {}, headers: { "ACCEPT" => "application/json" }
    assert_match(/Choose a file/, sentence)
  end
end
