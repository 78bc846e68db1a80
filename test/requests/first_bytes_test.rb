require "test_helper"

# What comes with the first bytes of a page, before its scripts have run.
class FirstBytesTest < RequestTest
  test "the rail is the page's own, and the place one is at is told" do
    set_up_shop
    get "/bench"
    drawn = html.css(".page-first .rail-tooth").map { |tooth| [ tooth.text.strip, tooth["href"] ] }
    own = Rails.root.join("app/frontend/components/Shell.tsx").read
      .scan(/number: (\d), name: "(\w+)", path: "([^"]+)"/).map { |number, name, path| [ "#{number}#{name}", path ] }
    assert_equal own, drawn
    assert_equal [ "1Bench" ], html.css("[aria-current=page]").map { |tooth| tooth.text.strip }
  end

  test "its scripts and letters are asked for at once" do
    set_up_shop
    get "/bench"
    asked = html.css("link[rel=modulepreload]").map { |link| link["href"] }
    assert asked.any? { |path| path.include?("/Bench-") }, asked.join(" ")
    assert_predicate html.css("link[rel=preload][as=font]"), :one?
  end

  test "a shop that has not begun has no rail" do
    get "/begin"
    assert_empty html.css(".page-first")
  end

  private

  def html = Nokogiri::HTML(response.body)
end
