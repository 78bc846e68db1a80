require "test_helper"

# The record: found by words and whose and what, beside what was reckoned, and out as files.
class RecordTest < RequestTest
  setup do
    set_up_shop
    sanded = { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }
    @piece = make_piece(steps: [ sanded, coat("s2", coats: 2) ])
    log(@piece, "s1/1/top", "started", 2.days.ago, { "person" => "Imke" })
    log(@piece, "s1/1/top", "done", 2.days.ago + 25.minutes)
    log(@piece, "s2/1/top", "done", 1.day.ago)
    @test = log(@piece, "s2/1/top", "dry_test", 1.day.ago + 3.hours,
                { "milestone" => "touch", "answer" => "dry" })
  end

  def look(**query)
    get "/record", params: query
    props
  end

  def told(**query) = look(**query)["days"].flat_map { |day| day["lines"] }.map { |line| line["words"] }

  test "the diary tells the days, the last first, with what was reckoned beside what it took" do
    days = look["days"]
    assert_equal [ 2, 2 ], days.map { |day| day["lines"].size }
    assert_equal [ "dry test: dry to touch, dry", "done", "done", "begun" ], told
    done = days.last["lines"].first
    assert_equal [ "Sand P150, P180", "Imke", 25 ], [ done["subject"], done["person"], done["done"]["hands_min"] ]
    assert_operator done["done"]["reckoned_min"], :>, 0
    assert_equal 25, days.last["hands_min"]
    strand = look["strands"].sole
    assert_equal [ "Desk top", 2, 1 ], [ strand["piece"]["name"], strand["bars"].size, strand["marks"].size ]
  end

  test "words find what begins with them, in names, steps, people, products and days" do
    { "desk" => 4, "P180" => 2, "imke" => 1, "skerrow" => 2, "dry touch" => 1, "sand done" => 1, "walnut" => 0,
      1.day.ago.in_time_zone("Europe/Berlin").to_date.iso8601 => 2, "\"'*:(" => 0, "AND OR NOT" => 0 }
      .each { |words, count| assert_equal count, told(words: words).size, words }
  end

  test "what is new and what is renamed is found" do
    assert_equal 4, told(words: "desk").size
    log(@piece, "s2/2/top", "done", 1.hour.ago)
    assert_equal 5, told(words: "desk").size
    @piece.update!(name: "Ferry counter")
    assert_equal [ 0, 5 ], [ told(words: "desk").size, told(words: "ferry").size ]
  end

  test "by piece, product, person, fault and day" do
    other = make_piece(name: "Stool", steps: [ coat("s1", product: "seal") ])
    log(other, "s1/1/top", "done", 3.hours.ago)
    Entry::LoggedFault.record!({ "client_id" => "f", "pass" => "#{other.core_id}/s1/1/top", "fault" => "runs",
                                 "mending" => "leave" }, happened_at: 2.hours.ago)
    assert_equal 2, told(piece: other.id).size
    assert_equal 2, told(product: "w20").size
    assert_equal 2, told(product: "seal").size
    assert_equal [ "begun" ], told(person: "Imke")
    assert_equal 1, told(fault: "runs").size
    assert_match(/\Afault: .*, left as it is\z/, told(fault: "runs").first)
    day = 2.days.ago.in_time_zone("Europe/Berlin").to_date.iso8601
    assert_equal 2, told(from: day, to: day).size
    assert_equal 0, told(piece: "x").size
    get "/record", params: { from: "yesterday" }
    assert_response :unprocessable_entity
    assert_match(/is no day/, props["error"]["sentence"])
  end

  test "what was taken back stays, and says so" do
    send_json("/entries", { client_id: "c9", kind: "correction", corrects: @test.id,
                            happened_at: Time.current.iso8601 })
    assert_response :ok
    lines = look["days"].flat_map { |day| day["lines"] }
    assert_equal [ "taken back", "dry test: dry to touch, dry" ], lines.first(2).map { |line| line["words"] }
    assert_kind_of Integer, lines.second["taken_back"]
    assert_empty look["strands"].sole["marks"]
  end

  test "work that is begun keeps when it was planned, by the plan that was kept, and a repeat is the same entry" do
    plan = ShopFloor.new.plan
    placement = plan.placements.find { |one| one.pass.key == "#{@piece.core_id}/s2/2/top" }
    Plan::Kept.take!([ { "pass" => placement.pass.key, "start" => "2026-11-29T09:00+01:00", "person" => "Imke" } ])
    2.times do
      send_json("/entries", { client_id: "c1", kind: "started", pass: placement.pass.key, person: "Imke",
                              happened_at: Time.current.iso8601(0) })
      assert_response :ok
    end
    assert_equal({ "person" => "Imke", "planned" => "2026-11-29T09:00+01:00" }, Entry.find_by!(client_id: "c1").body)
    line = look["days"].first["lines"].first
    assert_equal Time.iso8601("2026-11-29T09:00:00+01:00").to_i / 60, line["planned_at"]
  end

  test "what is shown goes out as CSV and JSON, all pages of it" do
    get "/record.csv", params: { words: "sand" }
    rows = CSV.parse(response.body, headers: true)
    assert_equal [ [ "done", "25" ], [ "started", nil ] ], rows.map { |row| row.values_at("kind", "hands_min") }
    get "/record.json"
    file = JSON.parse(response.body)
    assert_equal [ "rhexon-record/1", 4 ], [ file["format"], file["entries"].size ]
    assert_equal({ "milestone" => "touch", "answer" => "dry" }, file["entries"].first["body"])
  end

  test "a piece that cannot be planned, and one whose job is closed, stand in the record like any other" do
    @piece.job.update!(closed_at: Time.current)
    done = look["days"].last["lines"].first["done"]
    assert_equal 25, done["hands_min"]
    @piece.job.update!(closed_at: nil)
    Product.find_by!(code: "w20").update_columns(figures: { "solids_volume_percent" => -4 })
    assert_equal 4, told.size
  end
end
