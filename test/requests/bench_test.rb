require "test_helper"

class BenchRequestTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    @pass = "#{@piece.core_id}/s1/1/top"
  end

  def touch(kind, id: SecureRandom.uuid, at: Time.current, **more)
    send_json("/entries", { client_id: id, kind: kind, happened_at: at.iso8601, pass: @pass, **more })
  end

  test "start, done and a dry test move the bench on" do
    get "/bench"
    assert_equal [ @pass ], props["bench"]["upcoming"].map { |row| row["key"] }.first(1)
    touch("started")
    assert_equal [ @pass ], answer["bench"]["running"].map { |row| row["key"] }
    travel 5.minutes
    touch("done")
    slab = answer["bench"]["drying"].first
    assert_equal [ "too_soon", "recoat_opens" ], slab.values_at("state", "milestone")
    assert_equal 90, slab["opens_at"] - slab["row"]["work_end"]
    travel 60.minutes
    touch("dry_test", milestone: "recoat_opens", answer: "dry")
    assert_equal "open", answer["bench"]["drying"].first["state"]
  end

  # Shellac wiped three times in one sitting: the first coat is begun and done, each other takes one touch.
  test "in a sitting each coat takes one touch" do
    bowl = make_piece(name: "Bowl", steps: [ coat("s1", product: "seal", method: "wipe", wet_um: 25, coats: 3,
                                                        one_sitting: true) ])
    key = ->(number) { "#{bowl.core_id}/s1/#{number}/top" }
    get "/bench"
    row = ->(number) { props["bench"]["upcoming"].find { |one| one["key"] == key.(number) } }
    assert_equal [ false, true, true ], (1..3).map { |number| row.(number)["sits_on"] }
    touch("started", pass: key.(1))
    travel 5.minutes
    touch("done", pass: key.(1))
    travel 25.minutes
    touch("done", pass: key.(2))
    assert_response :ok
    get "/bench"
    assert_equal [ key.(3) ], props["bench"]["upcoming"].select { |one|
      one["piece"] == bowl.core_id
    }.map { |one| one["key"] }
  end

  test "who began it stands in the log and in the plan" do
    Person.create!(name: "Osei", skills: [])
    touch("started", person: "Wren")
    assert_match(/Wren is not among the people/, sentence)
    touch("started", person: "Osei")
    assert_equal({ "person" => "Osei", "planned" => "2026-11-23T08:00+01:00" }, Entry.last.body)
    assert_equal "Osei", answer["bench"]["running"].first["person"]
  end

  test "a start at the first stroke is laid from then on, without the set-up" do
    touch("started", from: "later")
    assert_match(/\AA start is noted as hands begin, or at the first stroke/, sentence)
    touch("started", from: "stroke")
    assert_equal "stroke", Entry.last.body["from"]
    assert_equal [ 0 ], answer["bench"]["running"].map { |row| row["work_start"] - row["hands_start"] }
  end

  test "a double tap is one entry" do
    2.times { touch("started", id: "tap", at: MONDAY) }
    assert_response :ok
    assert_equal 1, Entry.count
    touch("done", id: "tap", at: MONDAY)
    assert_response :conflict
  end

  test "a repeat after the schedule has changed is still the same entry" do
    touch("started", id: "tap", at: MONDAY)
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 3 } })
    touch("started", id: "tap", at: MONDAY)
    assert_response :ok
    assert_equal 1, Entry.count
  end

  test "what cannot have happened is refused with a sentence" do
    touch("dry_test", milestone: "touch", answer: "dry")
    assert_match(/not done yet/, sentence)
    touch("started", at: 1.hour.from_now)
    assert_match(/has not happened yet/, sentence)
    touch("danced")
    assert_match(/no entry of kind/, sentence)
    @pass = "#{@piece.core_id}/s7/1/top"
    touch("started")
    assert_match(/no such work/, sentence)
    @pass = "p9999/s1/1/top"
    touch("started")
    assert_response :not_found
    assert_equal 0, Entry.count
  end

  test "work is begun once and done once" do
    touch("started")
    touch("started")
    assert_match(/already begun/, sentence)
    touch("done")
    touch("done")
    assert_match(/already done/, sentence)
  end

  # What is told of last is told by its name, also where nothing of the piece is drawn any more.
  test "the page has the pieces that it draws and those it tells of" do
    done = make_piece(name: "Tray", steps: [ { "id" => "s1", "kind" => "sand", "grits" => [ "P180" ] } ])
    log(done, "s1/1/top", "done", 5.days.ago)
    idle = make_piece(name: "Idle", steps: [])
    get "/bench"
    assert_equal [ @piece.id, done.id ], props["pieces"].map { |piece| piece["id"] }
    assert_equal done.core_id, props["latest"].first["piece"]
    Piece.where(id: [ @piece.id, done.id ]).find_each { |piece| piece.job.update!(closed_at: Time.current) }
    get "/bench"
    assert_equal [ idle.id ], props["pieces"].map { |piece| piece["id"] }
  end

  # --- what stands against the work, told before the touch
  test "a stop stands at the pass it is for, on the bench, at its mix and on the shop plan" do
    waxy = coat("s0", product: "waxy", method: "brush", wet_um: 70, role: "seal")
    @piece.schedule.edit!({ "op" => "add_step", "after" => nil, "step" => waxy },
                          base: @piece.schedule.head.number, reason: "x")
    log(@piece, "s0/1/top", "done", 2.hours.ago)
    get "/bench"
    told = props["bench"]["against"].fetch(@pass)
    assert_equal [ "stop" ], told.map { |one| one["level"] }.uniq
    assert_match(/wax/, told.first["sentence"])
    get "/pieces/plan"
    assert_equal "stop", props["pieces"].sole["worst"]
  end

  test "a mix says what stands against its passes so far as it concerns the pot" do
    stock_two_part(base_g: 100)
    send_json("/mix", { pass: @pass })
    get answer["location"]
    assert_equal [ "caution" ], props["against"].map { |one| one["level"] }.uniq
    assert_match(/W20 clear satin/, props["against"].first["sentence"])
  end

  # --- cautions and rags
  test "cautions are read once for a job and a person, and do not freeze the work they stand at" do
    other = make_piece(name: "Of the same job", steps: [ coat("s1") ])
    other.update!(job: @piece.job)
    2.times { |index| touch("acknowledged", id: "read#{index}", person: "Imke", cautions: %w[isocyanate mist]) }
    assert_response :ok
    [ @piece, other ].each { |piece| assert_equal({ "Imke" => %w[isocyanate mist] }, answer["read"][piece.core_id]) }
    assert_empty Entry.standing_passes(@piece)
    send_json("/entries", { client_id: "back", kind: "correction", corrects: Entry.first.id,
                            happened_at: Time.current.iso8601 })
    send_json("/entries", { client_id: "back2", kind: "correction", corrects: Entry.second.id,
                            happened_at: Time.current.iso8601 })
    assert_empty answer["read"][@piece.core_id]
  end

  test "what was read is a caution, and who read it is among the people" do
    [ { cautions: [] }, { cautions: [ "x" ] }, {}, { cautions: [ "dust" ], person: "Nobody" } ].each do |fields|
      touch("acknowledged", **fields)
      assert_response :unprocessable_entity
      assert_predicate sentence, :present?
    end
    assert_equal 0, Entry.count
  end

  test "rags that heat themselves hold the day open until they are dealt with" do
    Product.create!(code: "marram", maker: "Marram", name: "bar varnish", kind: "oil_varnish", role: "top coat")
    oiled = make_piece(name: "Oiled", steps: [ coat("s1", product: "marram", method: "brush", wet_um: 85) ])
    log(@piece, "s1/1/top", "done", 2.hours.ago)
    get "/bench"
    assert_nil props["rags"], "waterborne leaves none"
    log(oiled, "s1/1/top", "started", 1.hour.ago)
    get "/bench"
    assert_equal [ "Marram bar varnish" ], props["rags"]["names"]
    2.times { send_json("/entries", { client_id: "rags", kind: "rags", happened_at: Time.current.iso8601 }) }
    assert_response :ok
    assert_nil answer["rags"]
    send_json("/entries", { client_id: "back", kind: "correction", corrects: Entry.find_by!(kind: "rags").id,
                            happened_at: Time.current.iso8601 })
    assert_equal [ "Marram bar varnish" ], answer["rags"]["names"]
    travel 4.days
    get "/bench"
    assert_nil props["rags"], "nobody is asked for ever"
  end

  test "take it back" do
    touch("started")
    send_json("/entries",
              { client_id: "back", kind: "correction", corrects: Entry.last.id, happened_at: Time.current.iso8601 })
    assert_response :ok
    assert_empty answer["bench"]["running"]
    assert_equal 2, Entry.count, "the log keeps both"
  end

  test "a touch that had not arrived yet when it was taken back is named by itself" do
    touch("started", id: "tap")
    send_json("/entries",
              { client_id: "back", kind: "correction", corrects_touch: "tap", happened_at: Time.current.iso8601 })
    assert_response :ok
    assert_empty answer["bench"]["running"]
    send_json("/entries",
              { client_id: "b2", kind: "correction", corrects_touch: "none", happened_at: Time.current.iso8601 })
    assert_match(/no such entry/, sentence)
  end

  # Three of 1 m²: the film of the first closes from its tick, all open from the last.
  # By its own clock it was touched at 8:12; that clock says 8:17 when it sends, where it is 8:07.
  test "a tablet whose clock is off is put right, whether it is fast, slow or stands in 1970" do
    now = Time.current
    { now + 10.minutes => [ "fast", 5.minutes ], now - 3.hours => [ "slow", 2.minutes ],
      Time.utc(1970, 1, 1, 0, 30) => [ "old", 1.minute ] }.each do |clock, (id, ago)|
      @piece = make_piece(name: id, steps: [ coat("s1") ])
      body = { client_id: id, kind: "started", pass: "#{@piece.core_id}/s1/1/top", happened_at: (clock - ago).iso8601 }
      post "/entries", params: body.to_json, headers: { **JSON_HEADERS, "X-Device-Time" => clock.iso8601 }
      assert_response :ok, id
      assert_in_delta (now - ago).to_i, Entry.find_by(client_id: id).happened_at.to_i, 1
    end
    touch("started", at: 10.minutes.from_now)
    assert_match(/has not happened yet/, sentence, "nothing is known of its clock")
  end

  test "work is not finished before it was begun" do
    touch("started")
    touch("done", at: 20.minutes.ago)
    assert_match(/begun at 08:00 and cannot be finished at 07:40: look at the clock/, sentence)
    assert_equal %w[started], Entry.pluck(:kind)
  end

  test "alike pieces are ticked one by one, and the window follows the first and the last" do
    @piece.update!(count: 3)
    touch("tick", nth: 1)
    assert_match(/not begun yet/, sentence)
    touch("started")
    [ 0, 4, nil ].each do |nth|
      touch("tick", nth: nth)
      assert_match(/There is no piece/, sentence)
      assert_equal "1 to 3", answer.dig("error", "accepted")
    end
    (1..3).each do |nth|
      travel 10.minutes
      touch("tick", nth: nth)
      assert_equal (1..nth).to_a, answer["bench"]["running"].first["ticked"]
    end
    travel 20.minutes
    touch("done")
    row = answer["bench"]["drying"].first["row"]
    assert_equal [ 30, 50 ], row.values_at("work_end", "hands_end").map { |minute| minute - (MONDAY.to_i / 60) }
    touch("tick", nth: 2, at: 1.minute.from_now)
    assert_match(/already done/, sentence)
    touch("tick", nth: 2, at: MONDAY + 15.minutes)
    assert_response :ok, "another tablet ticked it before, without a connection"
  end

  # 120 µm instead of 100: f_film is (120/100)^1.2 = 1.2446, so that 90 min on the sheet become 112.01: open at 113.
  test "what the comb says is what dries" do
    touch("measured", comb_um: [ 120 ])
    assert_match(/not begun yet/, sentence)
    touch("started")
    touch("done")
    assert_equal 90, answer["bench"]["drying"].first.then { |slab| slab["opens_at"] - slab["row"]["work_end"] }
    touch("measured", comb_um: [ 110, 130 ], gun: { "tip_mm" => 1.3, "bar" => 2 }, surface_c: 17.5)
    assert_equal 113, answer["bench"]["drying"].first.then { |slab| slab["opens_at"] - slab["row"]["work_end"] }
    assert_equal [ 110, 130 ], answer["bench"]["drying"].first["row"]["measured"]["comb_um"]
    send_json("/entries",
              { client_id: "back", kind: "correction", corrects: Entry.last.id, happened_at: Time.current.iso8601 })
    assert_equal 90, answer["bench"]["drying"].first.then { |slab| slab["opens_at"] - slab["row"]["work_end"] }
  end

  test "what cannot have been measured is refused with what is accepted" do
    touch("started")
    { {} => /Nothing was measured/, { comb_um: [ 0 ] } => /comb reads/, { comb_um: [ "x" ] } => /comb reads/,
      { comb_um: [ 50 ] * 21 } => /comb reads/, { pot_g: [ 700, 800 ] } => /heavier before/,
      { pot_g: [ 700 ] } => /heavier/,
      { gun: { "colour" => 1 } } => /tip, pressure/,
      { gun: { "bar" => 9000 } } => /tip, pressure/,
      { surface_c: 200 } => /no temperature of a surface/ }.each do |body, words|
      touch("measured", **body)
      assert_response :unprocessable_entity
      assert_match words, sentence
    end
    assert_equal 1, Entry.count
  end

  test "the witness glass is a test of its own" do
    touch("started")
    touch("done")
    assert_match(/solvent/, answer["bench"]["drying"].first.dig("proof", "film"))
    travel 60.minutes
    touch("dry_test", milestone: "recoat_opens", answer: "dry", by: "wall")
    assert_match(/on the film or on the glass/, sentence)
    touch("dry_test", milestone: "recoat_opens", answer: "dry", by: "glass")
    assert_equal "open", answer["bench"]["drying"].first["state"]
    assert_equal "dry test: recoat, on the witness glass, dry",
                 Record::Told.new(Entry.last, {}).words.sub(/dry test: [^,]+/, "dry test: recoat")
  end

  test "a piece whose job is closed leaves the bench" do
    @piece.job.update!(closed_at: Time.current)
    get "/bench"
    assert_empty props["bench"]["upcoming"]
  end

  def measured(way, **fields)
    step = { "id" => "s1", "kind" => "measure", "way" => way, **fields.transform_keys(&:to_s) }
    @piece = make_piece(name: "Old #{way}", steps: [ step, coat("s2", coats: 1) ])
    @pass = "#{@piece.core_id}/s1/1/top"
  end

  test "a pin meter's readings count as they are corrected, and stay known as they were read" do
    measured("moisture")
    touch("done", readings: [ 12, 12, 12 ], t_c: 0, points: -0.5)
    assert_equal [ [ 13.76 ] * 3, { "readings" => [ 12, 12, 12 ], "t_c" => 0, "points" => -0.5 } ],
                 Entry.last.body.values_at("readings", "meter")
    measured("film")
    touch("done", readings: [ 80, 120.5 ])
    assert_equal [ 80, 120.5 ], Entry.last.body["readings"]
    measured("gloss")
    touch("done", readings: [ 300 ])
    assert_match(/A reading is a number. Accepted: up to 100 from 0 to 200 GU/, sentence)
    measured("lead")
    touch("done", answer: "perhaps")
    assert_match(/What the test showed is missing. Accepted: no_lead, lead/, sentence)
  end

  test "what a solvent drop shows is what the old finish is from then on" do
    measured("solvent_drop")
    @piece.faces.first.update!(found: { "is" => "unknown", "coats" => 2, "state" => "sound" })
    touch("done", answer: "shellac")
    assert_response :ok
    assert_equal "shellac", ShopFloor.new.plan.piece(@piece.core_id).faces["top"]["found"]["family"]
  end

  test "where the plan holds for a measure nothing goes on before it, nor over wood that is too wet" do
    measured("moisture", hold: true)
    coat = "#{@piece.core_id}/s2/1/top"
    touch("started", pass: coat)
    assert_match(/Measure the moisture of the wood comes first: the plan holds until it is read/, sentence)
    touch("done", readings: [ 18, 18, 18 ])
    reading = Entry.last
    touch("started", pass: coat)
    assert_match(/was 18.0 %, too wet to go on/, sentence)
    send_json("/entries", { client_id: "back", kind: "correction", happened_at: Time.current.iso8601,
                            corrects: reading.id })
    touch("done", readings: [ 9, 9.4, 9.2 ])
    travel 10.minutes
    touch("started", pass: coat)
    assert_response :ok
  end

  test "drops of a rubbed coat are counted, and told before the next" do
    Product.create!(code: "oil", maker: "Thornlet", name: "rubbing oil", kind: "siccative_oil", role: "oil")
    oil = { "id" => "s1", "kind" => "oil", "product" => "oil", "method" => "wipe", "coats" => 3 }
    @piece = make_piece(name: "Box", steps: [ oil ])
    rub = ->(coat, **fields) {
      @pass = "#{@piece.core_id}/s1/#{coat}/top"
      touch("done", **fields)
      travel 4.days
    }
    rub.call(1)
    rub.call(2, drops: 90)
    assert_equal({ "drops" => 90 }, Entry.last.body)
    get "/bench"
    row = props["bench"]["upcoming"].find { |one| one["key"] == "#{@piece.core_id}/s1/3/top" }
    assert_equal [ 90, [ 90 ] ], row["drops"].values_at("expected", "used")
    rub.call(3, drops: -2)
    assert_match(/-2 is no number of drops/, sentence)
  end

  test "a new loop is given as many rounds as loops of its kind took here" do
    Product.create!(code: "oil", maker: "Thornlet", name: "rubbing oil", kind: "siccative_oil", role: "oil")
    oil = { "id" => "s1", "kind" => "oil", "product" => "oil", "method" => "wipe", "coats" => 1 }
    look = { "id" => "s2", "kind" => "look", "again" => { "steps" => [ "s1" ], "rounds" => 0, "most" => 6 } }
    before = make_piece(name: "Box", steps: [ oil, look ])
    [ [ "s1/1" ], [ "s2/1", "again" ], [ "s1/2" ], [ "s2/2", "again" ], [ "s1/3" ], [ "s2/3", "yes" ] ]
      .each.with_index do |(pass, said), hour|
        log(before, "#{pass}/top", "done", MONDAY - 20.days + hour.hours, { "answer" => said }.compact)
      end
    piece = make_piece(name: "Second box", steps: [ oil ])
    get "/pieces/#{piece.id}/schedule/new_steps", params: { after: "s1" }, headers: { "Accept" => "application/json" }
    offer = answer["offers"].find { |one| one["id"] == "look" }
    assert_equal [ 2, "One loop of it here took 2 rounds" ], [ offer.dig("step", "again", "rounds"), offer["says"] ]
  end

  test "what was measured stands on the piece's page, judged as the core judges it" do
    measured("moisture")
    touch("done", readings: [ 9, 9.4, 9.2 ])
    get "/pieces/#{@piece.id}/edit"
    found = props["measured"].first
    assert_equal "Measure the moisture of the wood", found["what"]
    assert_equal "9, 9.4, 9.2 %: 9.2 % in the mean, 9.3 % is what it will live at, at rest with its place",
                 found["said"]
    measured("lead")
    touch("done", answer: "lead")
    get "/pieces/#{@piece.id}/edit"
    assert_equal [ "lead is shown" ], props["measured"].map { |one| one["said"] }
    measured("colour")
    touch("done", readings: [ 64.5, 8, 21 ])
    get "/pieces/#{@piece.id}/edit"
    assert_equal [ "L* 64.5, a* 8, b* 21" ], props["measured"].map { |one| one["said"] }
    get "/pieces/#{@piece.id}/schedule/looks", params: { face: "top" }, headers: { "Accept" => "application/json" }
    assert_equal [ "this wood as it was read", [ 64.5, 8.0, 21.0 ] ],
                 [ answer["looks"]["ground"], answer["looks"]["stages"].first["lab"] ]
    test = { "id" => "s2", "kind" => "test", "way" => "water" }
    @piece = make_piece(name: "Tray", steps: [ coat("s1", coats: 1), test ])
    @pass = "#{@piece.core_id}/s2/1/top"
    touch("done", answer: "holds")
    assert_match(/What the test showed is missing. Accepted: stands, marks/, sentence)
    touch("done", answer: "marks")
    get "/pieces/#{@piece.id}/edit"
    assert_equal [ "it is marked" ], props["measured"].map { |one| one["said"] }
    measured("air")
    touch("done", readings: [ 18.5, 52 ])
    get "/pieces/#{@piece.id}/edit"
    assert_equal [ "18.5 °C, 52 % RH" ], props["measured"].map { |one| one["said"] }
  end
end
