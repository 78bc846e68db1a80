require "test_helper"

class ShelfRequestTest < RequestTest
  setup do
    set_up_shop
    travel_to MONDAY
    @clear = stock_two_part(base_g: 100)
    @headers = JSON_HEADERS
  end

  test "what runs out for the planned work" do
    make_piece(steps: [ coat("s1", coats: 4) ])
    get "/shelf", params: { view: "shopping" }
    line = props["lines"].find { |found| found["product"]["code"] == "w20" }
    assert_in_delta 100, line["left_g"], 0.1
    assert_equal [ { "words" => "1 L", "count" => 1, "price" => 35 } ], line["packs"]
    get "/pieces/#{Piece.first.id}/schedule"
    finding = props["sheet"]["findings"].find { |found| found["id"] == "stock.short" }
    assert_equal({ "name" => "shopping", "product" => "w20" }, finding["remedies"].first["place"])
    assert_nil finding["remedies"].first["operation"]
    mix = props["sheet"]["rows"].first["mix"]
    assert_equal [ 143, 223, 70, [ 8, 12 ] ], mix.values_at("laid_ml", "gross_ml", "transfer_percent", "hardener_range")
  end

  test "a product is made, changed line by line, copied and removed" do
    send_json(
      "/products",
      {
        maker: "Orrin", name: "New clear", kind: "shellac", role: "sealer", colour: "clear",
        figures: { "density_g_per_ml" => "0,86", "packs" => "1 l 20" }
      }
    )
    product = Product.find_by!(name: "New clear")
    assert_equal [ "new_clear", 0.86, [ { "ml" => 1000.0, "price" => 20 } ] ],
                 [ product.code, product.figures["density_g_per_ml"], product.figures["packs"] ]
    patch "/products/#{product.id}", params: { figures: { "sheen_gu" => "40", "density_g_per_ml" => "heavy" } }.to_json,
                                     headers: @headers
    assert_equal [ 422, "density_g_per_ml" ], [ response.status, answer["error"]["where"] ]
    assert_nil product.reload.figures["sheen_gu"], "nothing is half kept"
    get "/products/new", params: { copy: product.id }
    assert_equal [ "New clear, copy", nil ], props["product"].values_at("name", "id")
    delete "/products/#{product.id}", headers: @headers
    assert_equal "/shelf", answer["location"]
    delete "/products/w20", headers: @headers
    assert_match(/stands in the record/, answer["error"]["sentence"])
  end

  test "a product that a schedule names stays" do
    make_piece(steps: [ coat("s1", product: "seal") ])
    delete "/products/seal", headers: @headers
    assert_match(/stands in Desk top/, answer["error"]["sentence"])
  end

  test "cans come in, are weighed and thrown away" do
    send_json("/batches", { product: @clear.id, amount: "1,5 l", lot: "L9", client_id: "c" })
    batch = Batch.find_by!(lot: "L9")
    assert_in_delta 1560, batch.left_g, 0.1
    send_json("/batches", { product: @clear.id, amount: "1,5 l", lot: "L9", client_id: "c" })
    assert_equal 1, Batch.where(lot: "L9").count
    patch "/batches/#{batch.id}", params: { act: "weigh", left: "1.2 kg", client_id: "w" }.to_json, headers: @headers
    assert_equal 1200, answer["batch"]["left_g"]
    patch "/batches/#{batch.id}", params: { act: "weigh", left: "2 cups", client_id: "x" }.to_json, headers: @headers
    assert_match(/is a volume, a weight is asked/, answer["error"]["sentence"])
    patch "/batches/#{batch.id}", params: { act: "discard", client_id: "d" }.to_json, headers: @headers
    assert answer["batch"]["discarded"]
    send_json("/batches", { product: @clear.id, amount: "2 l", on: "soon", client_id: "e" })
    assert_equal "on", answer["error"]["where"]
  end

  test "labels and files" do
    get "/batches/#{Batch.first.id}/label.svg"
    assert_equal [ 200, "image/svg+xml" ], [ response.status, response.media_type ]
    get "/batches/#{Batch.first.id}/label.pdf"
    assert_equal "application/pdf", response.media_type
    get "/products/export.csv"
    csv = response.body
    file = Rack::Test::UploadedFile.new(StringIO.new(csv), "text/csv", original_filename: "p.csv")
    post "/products/import", params: { file: file }, headers: { "Accept" => "application/json" }
    assert_equal Product.count, answer["same"].size
    post "/products/import", headers: { "Accept" => "application/json" }
    assert_equal [ 422, "file" ], [ response.status, answer["error"]["where"] ]
  end

  test "consumables are kept with their wear" do
    send_json(
      "/consumables",
      {
        name: "Discs P180", unit: "disc", pack: 50, price: 21, left: 3,
        wear: { kinds: "sand", grits: "P180", per_m2: "0,6" }
      }
    )
    assert_equal({ "kinds" => [ "sand" ], "grits" => [ "P180" ], "per_m2" => 0.6 }, Consumable.first.wear.first)
    send_json("/consumables", { name: "Tape", unit: "m", pack: 0, left: 3 })
    assert_equal "pack", answer["error"]["where"]
  end

  test "the handbook ships with the app" do
    get "/handbook/cuts"
    assert_equal [ "cuts", 8 ], [ props["chapter"], props["chapters"].size ]
    assert_includes props["html"], 'id="thin"'
  end

  test "a figure of several parts comes as rows, and a row that is not whole is told" do
    product = Product.find_by!(code: "w20")
    keep = ->(*packs) {
      patch "/products/#{product.id}", params: { figures: { "packs" => packs } }.to_json, headers: JSON_HEADERS
    }
    keep.call(%w[1000 ml 34.5], %w[5 l 149], [ "", "ml", "" ])
    assert_response :ok
    assert_equal [ { "ml" => 1000, "price" => 34.5 }, { "ml" => 5000, "price" => 149 } ],
                 product.reload.figures["packs"]
    keep.call(%w[1000 ml dear])
    assert_response :unprocessable_entity
    assert_equal [ "packs", "Packs and prices, row 1: price \"dear\" is no number. Accepted: a number." ],
                 response.parsed_body["error"].values_at("where", "sentence")
    assert_equal 2, product.reload.figures["packs"].size
  end

  test "a class stands in with its own figures before anything is typed" do
    get "/products/defaults", params: { kind: "shellac" }
    line = ->(path) {
      response.parsed_body["groups"].flat_map { |group| group["lines"] }.find { |found| found["path"] == path }
    }
    assert_equal %w[default 0.86], line.call("density_g_per_ml").values_at("state", "value")
    get "/products/defaults", params: { kind: "paint" }
    assert_response :unprocessable_entity
  end

  test "a stain gets its colour from a wood read before it and after it, and can forget it" do
    tea = Product.create!(code: "tea", maker: "Own", name: "Tea", role: "dye stain", kind: "water_dye", figures: {})
    take = ->(**fields) { send_json("/products/#{tea.id}/optics", { wood: "oak", bare: nil, **fields }) }
    get "/products/#{tea.id}"
    assert_equal [ "stain", false ], props["colour"].values_at("way", "known")
    take.call(read: [ 48, 10, 24 ], percent: 50)
    assert_response :ok
    get "/products/#{tea.id}"
    assert_equal [ true, true, 4 ], [ *props["colour"].values_at("known", "own"), props["colour"]["fields"].size ]
    assert_match(/\Aread on oak, \d{4}/, props["colour"]["source"])
    { { read: [ 48 ] } => "read", { read: [ 80, 2, 10 ] } => "read", { read: [ 48, 10, 24 ], percent: 0 } => "percent",
      { read: [ 48, 10, 24 ], wood: "brass" } => "wood", { read: [ 48, 10, 24 ], bare: [ 1 ] } => "bare" }
      .each do |wrong, where|
        take.call(**wrong)
        assert_equal where, answer.dig("error", "where"), wrong.inspect
      end
    delete "/products/#{tea.id}/optics", headers: JSON_HEADERS
    assert_nil tea.reload.figures["optics"]
  end
end
