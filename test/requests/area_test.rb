require "test_helper"

class AreaTest < RequestTest
  setup do
    set_up_shop
    Product.create!(code: "f40", maker: "Marram", name: "F40 floor clear", kind: "waterborne_two_part",
                    role: "top coat", figures: { "wet_um" => { "roller" => 100, "brush" => 90 } })
    Product.create!(code: "gun", maker: "Marram", name: "Gun clear", kind: "solvent_two_part", role: "top coat",
                    figures: { "open_time_min" => 10 })
  end

  FIELDS = {
    parts: [ [ 0, 0, 10, 4 ] ], exit: [ 0, 2 ], product: "f40", room: "bench", tool: "roller", strips: "along", coats: 2
  }.freeze

  def ask(**fields) = send_json("/pieces/area", { fields: FIELDS.merge(fields) })

  test "a page with what can be chosen" do
    get "/pieces/area"
    tools = props["choices"]["products"].to_h { |product| product.values_at("code", "tools") }
    assert_equal [ %w[brush roller applicator], nil ], tools.values_at("f40", "gun"), "the other is only sprayed"
    assert_equal "f40", tools.keys.first, "its own sheet says how it is rolled"
    assert_equal %w[brush roller applicator], props["choices"]["tools"]
  end

  # F40 is open 6 min: 0.7 · 60 m²/h · 0.1 h / 0.25 m = 16.8 m; by somebody who lays 30 m² an hour half of it, and a
  # hall of 10 m takes two sections of 5.
  test "sections, material and time" do
    ask
    assert_in_delta 16.8, answer["limit_m"], 1e-9
    ask rate: 30
    assert_in_delta 8.4, answer["limit_m"], 1e-9
    assert_equal [ 5.0, 0.0 ], answer["sections"].map { |section| section["x"] }
    # 40 m² at 100 µm / 0.95, 10 % more: 4.63 l a coat
    assert_in_delta 4631.6, answer["ml"], 1
    assert_in_delta 2 * answer["ml"], answer["all_ml"], 1e-6
    assert_equal 80, answer["minutes"].round
  end

  test "what cannot be is refused with its place" do
    { { parts: [] } => "parts", { parts: "all" } => "parts", { exit: [ 1 ] } => "exit",
      { product: "x" } => "product", { room: "x" } => "room", { tool: "mop" } => "tool",
      { strips: "round" } => "strips",
      {
        rate: "fast"
      } => "rate", {
        rate: "-3"
      } => "rate", { coats: 40 } => "coats", { parts: [ [ 0, 0, "a", 4 ] ] } => "rectangles/0" }.each do |bad, where|
      ask(**bad)
      assert_response :unprocessable_entity, bad.inspect
      assert_equal where, answer["error"]["where"], bad.inspect
    end
    send_json("/pieces/area", { fields: "x" })
    assert_response :unprocessable_entity
  end

  test "the sketch of a piece comes with what is laid on it last, in its room" do
    keep(fields: FIELDS.merge(coats: 3))
    get "/pieces/area", params: { piece: Piece.find_by!(name: "Hall").id }
    assert_equal [ "f40", "bench", 3, "roller" ], props["first"].values_at("product", "room", "coats", "tool")
    assert_equal [ [ 0, 0, 10, 4 ] ], props["first"]["parts"]
    piece = Piece.find_by!(name: "Hall")
    Room.create!(name: "hall", t_c: 18, rh: 55)
    piece.schedule.edit!({ "op" => "change_step", "id" => "s4", "set" => { "room" => "hall" } },
                         base: piece.schedule.head.number) { "elsewhere" }
    get "/pieces/area", params: { piece: piece.id }
    assert_equal "hall", props["first"]["room"], "the room of the coat itself"
    get "/pieces/area"
    assert_nil props["first"]["product"]
  end

  def keep(**fields)
    send_json("/pieces/area/piece", { fields: FIELDS, name: "Hall", wood: "oak", client: "Quay", **fields })
  end

  test "a sketch becomes a piece with a schedule that can be planned, and is kept with it" do
    keep
    assert_response :ok
    piece = Piece.find_by!(name: "Hall")
    assert_equal [ "floor", 40.0, "open" ], [ piece.use, piece.faces.first.area_m2, piece.faces.first.grain ]
    assert_equal %w[sand clean measure coat], piece.schedule.document["steps"].map { |step| step["kind"] }
    get "/pieces/#{piece.id}/schedule", headers: { "Accept" => "application/json" }
    coat = answer["sheet"]["rows"].find { |row| row["kind"] == "coat" }
    assert_equal [ 1 ], coat["floor"]["sections"].map { |section| section["number"] }
    assert_match(/in 1 section, edge at most 16.8 m, the last at the exit/, coat["pattern"])
    assert coat["air_on_at"]
    patch "/pieces/area/piece", params: { piece_id: piece.id, fields: FIELDS.merge(parts: [ [ 0, 0, 5, 4 ] ]) }.to_json,
                                headers: JSON_HEADERS
    assert_equal [ 20.0, [ [ 0, 0, 5, 4 ] ] ], [ piece.faces.first.reload.area_m2, piece.reload.sketch["parts"] ]
    get "/pieces/area", params: { piece: piece.id }
    assert_equal [ [ [ 0, 0, 5, 4 ] ], "Hall" ], [ props["first"]["parts"], props["piece"]["name"] ]
  end

  test "a sketch without a name, a wood, a client, or that cannot be, becomes nothing" do
    { { name: "" } => "name", { wood: "" } => "wood", { client: "" } => "client",
      { fields: FIELDS.merge(tool: "mop") } => "tool", { fields: FIELDS.merge(product: "gun") } => "tool" }
      .each do |wrong, where|
        assert_no_difference([ "Piece.count", "Job.count" ]) { keep(**wrong) }
        assert_equal where, answer.dig("error", "where"), wrong.inspect
      end
  end

  test "a floor waits for the air that its sheet wants" do
    Product.find_by!(code: "f40").update!(figures: { "wet_um" => { "roller" => 100 }, "least_air_c" => 15 })
    keep
    piece = Piece.find_by!(name: "Hall")
    touch = ->(kind, pass, **more) {
      send_json("/entries", { client_id: SecureRandom.uuid, kind: kind, happened_at: Time.current.iso8601,
                              pass: "#{piece.core_id}/#{pass}/1/floor", **more })
    }
    touch.call("started", "s4")
    assert_match(/Measure the air comes first/, sentence)
    touch.call("done", "s3", readings: [ 12, 60 ])
    reading = Entry.last
    touch.call("started", "s4")
    assert_match(/The air was 12 °C, 60 % RH, and Marram F40 floor clear wants 15 °C at least/, sentence)
    send_json("/entries", { client_id: "b", kind: "correction", happened_at: Time.current.iso8601,
                            corrects: reading.id })
    touch.call("done", "s3", readings: [ 17, 55 ])
    touch.call("started", "s4")
    assert_response :ok
  end
end
