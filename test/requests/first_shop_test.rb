require "test_helper"

# A shop of one's own begins on its first page; nothing is made by itself.
class FirstShopTest < RequestTest
  GOOD = {
    name: "Tarn Yard", person: "Imke", password: "elm and old oak", zone: "Europe/Berlin", room: "loft", t_c: "18.5",
    rh: "55",
    opens: "07:30", closes: "16:30"
  }.freeze

  test "every page leads to the first one until there is a shop" do
    %w[/bench /pieces /shelf /mix /boards /pieces/plan].each do |path|
      get path
      assert_redirected_to "/begin", path
    end
    send_json("/entries", {})
    assert_equal [ 404, "There is no shop here yet: begin one on the first page." ], [ response.status, sentence ]
    get "/begin"
    assert_includes props["zones"], "Europe/Berlin"
    assert_equal 0, Shop.count
  end

  test "a shop begins in the units and the currency of its country, and each may be another" do
    get "/begin"
    countries = props["countries"].index_by { |country| country["code"] }
    assert_equal %w[us USD], countries["US"].values_at("units", "currency")
    assert_equal %w[metric CAD], countries["CA"].values_at("units", "currency")
    assert_equal %w[metric EUR], countries["AT"].values_at("units", "currency")
    assert_includes countries["US"]["zones"], "America/Chicago"
    assert_empty props["countries"].map { |country| country["currency"] } - props["currencies"]
    post "/begin", params: GOOD.merge(units: "us", currency: "USD", zone: "America/Chicago")
    assert_equal %w[us USD America/Chicago], Shop.current.then { |shop| [ shop.units, shop.currency, shop.zone ] }
  end

  test "what is typed begins a shop that can plan at once" do
    post "/begin", params: GOOD
    assert_redirected_to "/bench"
    assert_equal [ "Tarn Yard", [ "Imke" ], [ [ "loft", 18.5, 55.0 ] ], 5 ],
                 [
                   Shop.current.name, Person.pluck(:name), Room.pluck(:name, :t_c, :rh),
                   OpenHour.where(opens: "07:30", closes: "16:30").count
                 ]
    Rhexon::Schedule::Kinds.laying.each do |kind|
      assert_predicate Rhexon::Schedule::Kinds.sorted(kind, Shelf.products.values), :any?, kind
    end
    make_piece(steps: [ coat("s1", product: "oil_varnish", method: "brush", wet_um: 85) ])
    get "/bench"
    assert_equal 200, response.status
    get "/begin"
    assert_redirected_to "/bench"
    post "/begin", params: GOOD
    assert_equal 1, Shop.count
  end

  test "what is wrong is said beside its field, and nothing is kept" do
    { name: "", person: "", password: "short", zone: "Nowhere/Land", t_c: "hot", rh: "0",
opens: "17:00" }.each do |field, value|
      post "/begin", params: GOOD.merge(field => value)
      assert_redirected_to "/begin"
      follow_redirect!
      assert_predicate props["errors"][field.to_s], :present?, "#{field}: #{props["errors"]}"
      assert_equal [ 0, 0, 0, 0 ], [ Shop.count, Room.count, Person.count, Product.count ]
    end
  end

  test "up says whether the shop's file can be read and written" do
    get "/up"
    assert_equal [ 200, { "status" => "ok", "shop" => false } ], [ response.status, answer ]
  end

  test "what cannot be read by the application at all is answered in words" do
    get "/bench?face=%ff", headers: { "ACCEPT" => "application/json" }
    assert_equal [ 400, "The request cannot be read: it is malformed." ], [ response.status, sentence ]
    get "/bench?face=%ff"
    assert_match(/The request cannot be read.*Go to the bench/m, response.body)
  end
end
