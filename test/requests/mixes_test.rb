require "test_helper"

class MixesRequestTest < RequestTest
  setup do
    set_up_shop
    travel_to MONDAY
    stock_two_part
    Devices.scale.hand.clear(now: Time.current)
  end

  def touch(mix, what, **more)
    send_json("/mix/#{mix}/#{what}", { client_id: SecureRandom.uuid, happened_at: Time.current.iso8601, **more })
  end

  test "from the plan to the shelf" do
    piece = make_piece(steps: [ coat("s1", coats: 2) ])
    get "/mix"
    due = props["due"].first
    assert_equal [ "Skerrow W20 clear satin", 2, "Desk top" ], due.values_at("name", "coats", "serves")
    send_json("/mix", { pass: due["pass"] })
    mix = answer["location"][/\d+/].to_i
    get "/mix/#{mix}"
    assert_equal [ "Desk top: coat 1 of 2", "Desk top: coat 2 of 2" ], props["pot"]["serves"]
    props["pot"]["pours"].each { |pour| touch(mix, "pours", name: pour["name"], g: pour["g"]) }
    assert answer["pot"]["complete"]
    get "/bench"
    assert_equal [ "/mix/#{mix}", true ], props["pots"].first.values_at("path", "open")
    assert_equal "/mix/#{mix}", props["mixed"]["#{piece.core_id}/s1/1/top"]
    touch(mix, "finish")
    assert_match(/\AJ\d+/, answer["pot"]["batch"]["code"])
    get "/bench"
    assert_equal 192, props["pots"].first.then { |pot| pot["usable_until"] - pot["mixed_at"] }
    get "/mix"
    assert_empty props["due"].select { |found| found["pass"] == due["pass"] }
  end

  test "a preview answers all four readings and keeps nothing" do
    send_json("/mix/preview", { product: "w20", want: { amount: "1½ cup" } })
    assert_in_delta 354.88, answer["total_ml"], 0.01
    assert_in_delta 10.769, answer["shares"]["Skerrow H12 hardener"]["base_mass"], 0.001
    assert_equal 0, Mix.count
    send_json("/mix/preview", { product: "w20", want: { amount: "2 furlongs" } })
    assert_response :unprocessable_entity
    assert_equal "want", answer["error"]["where"]
  end

  test "the scale is read, zeroed, poured on and unplugged" do
    send_json("/scale/hand", { act: "put", grams: 250 })
    travel 5.seconds
    get "/scale", headers: JSON_HEADERS
    assert_in_delta 250, answer["grams"], 0.11
    send_json("/scale/zero", {})
    assert_in_delta 0, answer["grams"], 0.11
    send_json("/scale/hand", { act: "fault", fault: "disconnected" })
    get "/scale", headers: JSON_HEADERS
    assert_match(/does not answer/, answer["silent"])
    send_json("/scale/hand", { act: "clear" })
    get "/scale", headers: JSON_HEADERS
    send_json("/scale/hand", { act: "fault", fault: "stale" })
    travel 8.seconds
    get "/scale", headers: JSON_HEADERS
    assert_match(/nothing new for 8 s/, answer["silent"])
  end

  test "a blend of the shop's own is a product: its jar is mixed, dated, and poured from" do
    Product.create!(code: "tung", maker: "Thornlet", name: "tung oil", kind: "raw_oil", role: "oil",
                    figures: { "density_g_per_ml" => 0.94 })
    blend = Product.create!(code: "blend", maker: "Own", name: "yard blend", kind: "wiping_varnish", role: "oil",
                            figures: { "shelf_life_months" => { "mixed" => 6 } })
    parts = [ [ "tung", "100", "volume", "base", "", "" ], [ "waxy", "50", "volume", "base", "", "" ] ]
    patch "/products/#{blend.id}", params: { figures: { "made_of" => parts } }.to_json, headers: JSON_HEADERS
    assert_response :ok
    get "/products/blend"
    assert_equal [ "Thornlet tung oil", "Orrin pale flake" ], props["made"]["raw"].map { |part| part["name"] }
    send_json("/mix", { product: "blend", make: true, want: { amount: "150 ml" } })
    mix = Mix.last
    assert_equal %w[tung waxy], mix.components.map { |part| part["product"] }
    assert_equal [ nil, nil ], mix.components.map { |part| part["role"] == "hardener" || nil }
    mix.sheet.pours.each { |pour| touch(mix.id, "pours", name: pour.name, g: pour.g.round(1)) }
    touch(mix.id, "finish")
    jar = Batch.last
    assert_equal [ "blend", "mixed", Date.new(2027, 5, 23) ], [ jar.product.code, jar.state, jar.expires_on ]
    send_json("/mix", { product: "w20", make: true, want: { amount: "1 l" } })
    assert_match(/W20 clear satin is not made here/, sentence)
  end
end
