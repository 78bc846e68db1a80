require "test_helper"

class ShopRequestTest < RequestTest
  setup { set_up_shop }

  def room = Room.find_by!(name: "bench")

  def keep(**fields)
    send_json("/shop/room", { id: room.id, name: "bench", air: "ordinary", t_c: 20, rh: 50, daily: nil, **fields })
  end

  test "the shop is shown with rooms, people and hours" do
    get "/shop"
    assert_equal [ "bench", 20.0, 0 ], props["rooms"].first.values_at("name", "t_c", "logged")
    assert_equal "07:30-16:30", props["shop_hours"]["week"]["1"]
    assert_equal "", props["shop_hours"]["week"]["6"]
  end

  test "a night set-back delays what is laid from now on, and not what dries already" do
    Product.create!(code: "varnish_oil", maker: "Marram", name: "varnish", kind: "oil_varnish", role: "top coat")
    piece = make_piece(steps: [ coat("s1", product: "varnish_oil", method: "brush", wet_um: 85) ])
    log(piece, "s1/1/top", "started", MONDAY - 20.hours)
    log(piece, "s1/1/top", "done", MONDAY - 19.hours)
    before = ShopFloor.new.plan.build.ready[piece.core_id]
    keep(daily: [ { at: "06:00", t_c: 20, rh: 50 }, { at: "18:00", t_c: 8, rh: 50 } ])
    assert_response :ok
    after = ShopFloor.new.plan.build.ready[piece.core_id]
    assert_equal before, after, "it was laid and is ready before the first cold night"
    travel 9.hours
    cold = room.air_at
    assert_equal 20, cold.t_c
    travel 3.hours
    assert_equal 8, room.air_at.t_c
    assert_equal 20, room.air_at(MONDAY - 10.hours).t_c, "the past keeps its air"
  end

  test "settings that cannot be are refused and nothing is kept" do
    {
      { t_c: 200 } => "t_c", { rh: 0 } => "rh", { air: "gale" } => "air",
      { daily: [ { at: "25:00", t_c: 20, rh: 50 } ] } => "daily",
      { daily: [ { at: "06:00", t_c: 99, rh: 50 } ] } => "daily"
    }.each do |fields, where|
      keep(**fields)
      assert_equal [ 422, where ], [ response.status, answer.dig("error", "where") ], fields.inspect
    end
    assert_equal [ 20.0, 50.0, nil ], room.values_at(:t_c, :rh, :daily)
    assert_equal 0, ClimateReading.count
  end

  def upload(text)
    post(
      "/shop/rooms/#{room.id}/logger",
      params: { file: Rack::Test::UploadedFile.new(StringIO.new(text), "text/csv", original_filename: "logger.csv") },
      headers: { "Accept" => "application/json" }
    )
  end

  test "a logger file is averaged by the hour and decides the air of its hours" do
    upload("Time;Temp (°C);RH %\n2026-11-23 06:10;14,0;60\n2026-11-23 06:40;16,0;64\n2026-11-23 " \
           "07:10;18;55\nlater;18;55\n2026-11-23 07:20;180;55\n")
    assert_equal [ 2, 2 ], answer["report"].values_at("hours", "refused")
    assert_equal [ 15.0, 62.0 ], room.air_at(Time.utc(2026, 11, 23, 5, 30)).then { |air| [ air.t_c, air.rh ] }
    assert_equal 20, room.air_at(Time.utc(2026, 11, 23, 9)).t_c, "after it the room is as it is set"
    upload("Time;Temp;RH\n2026-11-23 06:10;10;50\n")
    assert_equal 10, room.air_at(Time.utc(2026, 11, 23, 5, 30)).t_c, "the newer file wins"
    upload("a,b\n1,2\n")
    assert_match(/lacks a time, a temperature, and a humidity/, answer["error"]["sentence"])
  end

  test "hours, holidays and whose hands" do
    week = { "1" => "7:30-12:00, 12:30-16:30", "2" => "", "6" => "08:00-12:00" }
    send_json("/shop/hours", { person: nil, week: week, days: [ { date: "2026-12-24", hours: "" } ] })
    assert_equal [ [ "07:30", "12:00" ], [ "12:30", "16:30" ] ], Person.first.to_core["week"]["mon"]
    assert_equal [ { "date" => "2026-12-24", "open" => [] } ], Person.first.to_core["except"]
    [
      { "1" => "16:30-07:30" }, { "1" => "all day" }, { "1" => "08:00-12:00, 11:00-14:00" }, { "9" => "08:00-12:00" }
    ].each do |bad|
      send_json("/shop/hours", { person: nil, week: bad, days: [] })
      assert_response :unprocessable_entity, bad.inspect
    end
    send_json("/shop/hours", { person: nil, week: week, days: [ { date: "soon", hours: "" } ] })
    assert_equal "days", answer["error"]["where"]
    assert_equal 4, OpenHour.count, "nothing is half kept"
  end

  test "who is at the bench and what they are trained for" do
    imke = Person.first
    send_json("/shop/person", { name: "Osei", at_bench: true, skills: [] })
    assert_equal [ "Imke", "Osei" ], Person.at_bench.map(&:name)
    assert_equal [ nil, [] ], answer["people"].map { |person| person["skills"] }
    send_json("/shop/person", { id: imke.id, at_bench: false, skills: %w[spray] })
    assert_equal [ "Osei" ], Person.at_bench.map(&:name)
    send_json("/shop/person", { id: Person.last.id, at_bench: false })
    assert_match(/Somebody has to work at the bench/, answer["error"]["sentence"])
    send_json("/shop/person", { id: imke.id, name: "Another", at_bench: true })
    assert_match(/keeps that name/, answer["error"]["sentence"])
    send_json("/shop/person", { name: " ", at_bench: true })
    assert_response :unprocessable_entity
  end

  test "what a room is used for, its rack, and guns" do
    room = Room.first
    fields = { id: room.id, t_c: 20, rh: 50, air: "ordinary" }
    send_json("/shop/room", fields.merge(uses: %w[spray], rack_places: 6))
    assert_equal [ %w[spray], 6 ], room.reload.then { |found| [ found.uses, found.rack_places ] }
    [ { uses: %w[sleep] }, { uses: "spray" }, { rack_places: -1 }, { rack_places: 2.5 } ].each do |bad|
      send_json("/shop/room", fields.merge(bad))
      assert_response :unprocessable_entity, bad.inspect
    end
    send_json("/shop/tool", { name: "gravity gun", used_for: "spray" })
    send_json("/shop/tool", { name: "gravity gun", used_for: "spray" })
    assert_match(/There is a tool of that name/, answer["error"]["sentence"])
    send_json("/shop/tool", { id: Tool.sole.id })
    assert_empty answer["tools"]
  end

  test "what plans aim at" do
    send_json("/shop/goal", { goal: "late_as_safe" })
    assert_equal "late_as_safe", Shop.current.goal
    send_json("/shop/goal", { goal: "cheapest" })
    assert_match(/soonest, fewest_sessions/, answer["error"]["accepted"])
  end

  test "the planned work as a calendar file" do
    make_piece(name: "Desk, top; 1", steps: [ coat("s1", coats: 2) ])
    get "/shop/calendar.ics"
    assert_equal "text/calendar", response.media_type
    events = Icalendar::Calendar.parse(response.body).first.events
    assert_equal 2, events.size
    plan = ShopFloor.new.plan
    assert_equal plan.placements.map { |placement| placement.hands_start * 60 },
                 events.map { |event| event.dtstart.to_time.to_i }.sort
    assert_equal "Coat 1 of 2: Desk, top; 1", events.first.summary.to_s
    assert_equal "bench", events.first.location.to_s
  end

  test "boards to be looked at again stand in the calendar on their days" do
    make_piece(steps: [ coat("s1") ])
    board = Board.create!(name: "Board 1", wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                          made_on: Date.new(2026, 11, 10))
    cell = board.cells.create!(label: "1", position: 0, layers: [])
    Reading.record!(cell: cell, client_id: "r", kind: "note", value: "as it was", taken_at: Time.utc(2026, 11, 18, 9))
    get "/shop/calendar.ics"
    looks = Icalendar::Calendar.parse(response.body).first.events.select do |event|
      event.summary.start_with?("Look again")
    end
    assert_equal [ [ "Look again after 30 days: Board 1", Date.new(2026, 12, 10) ] ],
                 looks.map { |event| [ event.summary.to_s, event.dtstart.to_date ] }, "seven days are done"
  end

  # --- house rules

  test "the shop's own rules hold for every schedule that does not say otherwise" do
    free, own = [ "Shelf", "Door" ].map { |name| make_piece(name: name, steps: [ coat("s1", coats: 2) ]) }
    edit(own, { op: "house", set: { scuff: "none" } })
    send_json("/shop/house", { rule: "scuff", value: "always" })
    assert_equal "always", answer["house"]["scuff"]
    scuffed = ShopFloor.new
      .plan
      .placements
      .select { |placement| placement.pass.kind == "scuff" }
      .map { |placement| placement.pass.piece.id }
    assert_equal [ free.core_id ], scuffed.uniq
    get "/pieces/#{free.id}/schedule"
    assert_equal "always", props["house"]["scuff"]
  end

  test "a rule that is not one is refused" do
    [ [ "scuff", "sometimes" ], [ "shellac_months", 7 ], [ "moon", "full" ], [ nil, nil ] ].each do |rule, value|
      assert_no_changes(-> { Shop.current.house }) { send_json("/shop/house", { rule: rule, value: value }) }
      assert_response :unprocessable_entity
    end
    send_json("/shop/house", { rule: "shellac_months", value: 12 })
    assert_equal 12, Shop.current.shellac_months
  end

  # --- checks judged otherwise
  test "the shop judges a check otherwise with a reason, which each schedule shows, and as usual again" do
    piece = make_piece(steps: [ coat("s1") ])
    told = -> { get("/pieces/#{piece.id}/schedule"); props["sheet"] }
    id = told.call["findings"].find { |finding| finding["open"] }["id"]
    send_json("/shop/judgements", { check: id, as: "silent", reason: "we know our work" })
    assert_equal [ { "check" => id, "as" => "silent", "reason" => "we know our work" } ], answer["judged"]
    sheet = told.call
    assert_not_includes sheet["findings"].map { |finding| finding["id"] }, id
    assert_equal [ [ id, "we know our work", "shop" ] ],
                 sheet["silenced"].map { |one| [ one["id"], *one["ruling"].values_at("reason", "by") ] }.uniq
    send_json("/shop/judgements", { check: id, as: nil })
    assert_includes told.call["findings"].map { |finding| finding["id"] }, id
  end

  test "nothing is judged otherwise without a reason, and safety and the date never" do
    [
      { check: "film.foggy", as: "note" }, { check: "film.foggy", as: "loud", reason: "so it is" },
      { check: "safety.lead", as: "silent", reason: "tired of it" },
      { check: "time.due", as: "note", reason: "always late" }
    ].each do |body|
      assert_no_changes(-> { Shop.current.house }) { send_json("/shop/judgements", body) }
      assert_response :unprocessable_entity
      assert_predicate answer["error"]["sentence"], :present?
    end
  end

  test "an empty figure of a room is told beside it, and a cold room plans" do
    piece = make_piece(steps: [ coat("s1", coats: 2) ])
    room = { id: Room.first.id, name: "bench", air: "ordinary", uses: [], t_c: 20, rh: 50 }
    { t_c: /-20 to 60/, rh: /1 to 100/ }.each do |field, words|
      [ nil, "", "warm" ].each do |typed|
        send_json("/shop/room", room.merge(field => typed))
        assert_equal [ 422, field.to_s ], [ response.status, answer.dig("error", "where") ]
        assert_match words, sentence
      end
    end
    [ 0, -8 ].each do |cold|
      send_json("/shop/room", room.merge(t_c: cold))
      assert_response :ok
      get "/pieces/#{piece.id}/schedule"
      assert_includes props["sheet"]["findings"].map { |one| one["id"] }, "climate.cold"
    end
  end

  def change(**fields) = send_json("/shop/settings", fields, :patch)

  test "the settings of the shop are changed, each held to what it may be" do
    { name: /Name the shop/, zone: /zone/i, currency: /three letters/, units: /metric or us/,
      address: /such as http/ }.each do |field, words|
      change(field => field == :name ? " " : "nowhere")
      assert_equal [ 422, field.to_s ], [ response.status, answer.dig("error", "where") ]
      assert_match words, sentence
    end
    change(name: "Weir Yard", currency: "USD", units: "us", address: "http://192.168.1.20:3000/")
    assert_equal [ "Weir Yard", "USD", "us", "http://192.168.1.20:3000" ],
                 answer.values_at("name", "currency", "units", "address")
    get "/bench"
    assert_match(/<html lang="en" data-units="us"/, response.body)
  end

  # Due by the end of 18 December in Berlin is due by the end of that day in Chicago, too.
  test "days that work is due on stay those days in another zone" do
    job = make_piece.job
    job.update!(due_on: "2026-12-18")
    change(zone: "America/Chicago")
    assert_response :ok
    job.reload
    assert_equal [ Date.new(2026, 12, 18), Time.utc(2026, 12, 18, 23) ], [ job.due_on, job.due_at ]
  end

  test "links and labels carry the address of the shop, and one that works on this computer only says so" do
    piece = make_piece(steps: [ coat("s1") ])
    made = -> {
      send_json("/links", { kind: "handover", piece_id: piece.id })
      answer.values_at("url", "loopback")
    }
    host! "127.0.0.1:3171"
    assert made.().last
    host! "192.168.1.9:3000"
    url, loopback = made.()
    assert_equal [ "http://192.168.1.9:3000/guest", false ], [ url[%r{\A.*/guest}], loopback ]
    Shop.current.update!(address: "https://shop.example")
    assert_equal "https://shop.example/guest", made.().first[%r{\A.*/guest}]
  end
end
