require "test_helper"

# What a device keeps of the pages, to go on without the shop's computer.
class KeptPagesTest < RequestTest
  test "the worker's script names every file of the build, each of which is there" do
    get "/service-worker.js"
    assert_response :ok
    assert_equal "text/javascript", response.media_type
    assert_match(/no-store/, response.headers["Cache-Control"])
    files = JSON.parse(response.body[/begin\((\[.*?\])/, 1])
    [ /Bench-.*js/, /Record-.*js/, /application-.*css/, /woff2/, /clock-.*js/ ].each do |name|
      assert files.any?(name), name.to_s
    end
    assert_empty files.reject { |path| Rails.public_path.join(path.delete_prefix("/")).file? }
    assert Rails.public_path.join(response.body[%r{from "/(.*?)"}, 1]).file?
  end

  test "the page in the place of those that are not kept needs no shop" do
    get "/away"
    assert_response :ok
    assert_equal "/away", JSON.parse(Nokogiri::HTML(response.body).at_css("script[data-page]").text)["url"]
  end

  test "the bench answers as data to those who ask on" do
    set_up_shop
    get "/bench", headers: JSON_HEADERS
    assert_equal %w[bench better codes everybody hands latest mixed moved noted pieces pots rags read rooms],
                 answer.keys.sort
  end
end
