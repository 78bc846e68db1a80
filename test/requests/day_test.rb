require "test_helper"

# Morning and evening at the bench.
class DayTest < RequestTest
  EVENING = Time.find_zone("Europe/Berlin").local(2026, 11, 23, 16)

  setup do
    travel_to EVENING
    set_up_shop
    Room.first.update!(daily: [ { "at" => "06:00", "t_c" => 20, "rh" => 50 },
                                { "at" => "16:30", "t_c" => 8, "rh" => 60 } ])
    @piece = make_piece(steps: [ coat("s1", product: "seal"), coat("s2", coats: 2) ])
    log(@piece, "s1/1/top", "started", EVENING - 40.minutes, { "person" => "Imke" })
    log(@piece, "s1/1/top", "done", EVENING - 10.minutes)
  end

  test "the evening's list is short because it is reckoned, and the lists go by person" do
    get "/bench/day"
    assert_response :ok
    assert_equal [ "Clean gun and cup with spirit: Orrin dewaxed shellac." ],
                 props["evening"].filter_map { |item| item["words"] if item["kind"] == "gear" }
    assert_equal [ "Imke" ], props["lists"].map { |list| list["person"] }
    assert_equal EVENING.change(hour: 16, min: 30).to_i / 60, props["closes"]
    assert_equal (EVENING + 1.day).change(hour: 7, min: 30).to_i / 60, props["opens"]
  end

  test "what is seen to stays ticked until the next day, and can be taken back" do
    send_json("/entries", { client_id: "s", kind: "seen_to", happened_at: Time.current.iso8601 })
    assert_match(/What was seen to is named/, sentence)
    get "/bench/day"
    words = props["evening"].first["words"]
    assert_not props["evening"].first["seen"]
    send_json("/entries", { client_id: "s", kind: "seen_to", item: words, happened_at: Time.current.iso8601 })
    get "/bench/day"
    assert props["evening"].find { |item| item["words"] == words }["seen"]
    send_json("/entries",
              { client_id: "b", kind: "correction", corrects_touch: "s", happened_at: Time.current.iso8601 })
    get "/bench/day"
    assert_not props["evening"].find { |item| item["words"] == words }["seen"]
  end

  test "the heater's worth is planned behind the page" do
    get "/bench/day/night", headers: JSON_HEADERS
    assert_response :ok
    assert answer["nights"].all? { |night| night["minutes"] >= 0 && night["held_c"] > night["set_c"] }
  end

  test "rags hold the evening open, and the morning tells the night" do
    oil = make_piece(name: "Bowl", steps: [ coat("s1") ])
    oil.schedule.steps
    get "/bench/day"
    assert_nil props["rags"]
    travel_to EVENING + 16.hours
    get "/bench/day"
    assert_match(/8\.0 to 20\.0 °C over night/, props["morning"].first["words"])
  end
end
