require "test_helper"

# Thermo-hygrometers that send what they read: JSON and lines, marked or refused, and the air that follows.
class InstrumentsTest < RequestTest
  setup do
    set_up_shop
    @room = Room.first
    @room.update!(t_c: 20, rh: 50, daily: nil)
    @instrument, @token = Instrument.begin!(name: "Wall", room: @room)
  end

  def post_readings(body, token: @token, type: "application/json")
    post "/readings", params: body, headers: { "Authorization" => "Bearer #{token}", "Content-Type" => type,
                                               "Accept" => "application/json" }
  end

  def air(at = Time.current) = Room.find(@room.id).air_at(at).then { |now| [ now.t_c.round(1), now.rh.round ] }

  test "a reading as JSON or as a line is taken in, once, and the air of the room is what was read" do
    at = Time.current.change(usec: 0)
    2.times { post_readings({ t_c: 16.4, rh: 61, at: at.iso8601 }.to_json) }
    assert_equal({ "taken" => 1, "marked" => 0, "refused" => [] }, answer)
    assert_equal 1, @instrument.readings.count
    assert_equal [ 16.4, 61 ], air
    post_readings("t_c=16.6 rh=60\n\nt_c=16,8; rh=59 at=#{(at - 5.minutes).iso8601}\n", type: "text/plain")
    assert_equal 2, answer["taken"]
    assert_in_delta 16.6, @room.climate_readings.find_by!(kind: "logger").t_c, 0.3
  end

  test "a reading with which nothing can be planned is not kept" do
    make_piece(steps: [ coat("s1") ])
    get "/bench"
    planner = Rhexon::Search::Planner
    real = planner.method(:plan)
    planner.define_singleton_method(:plan) { |*| raise "a defect" }
    before = [ ClimateReading.count, @instrument.readings.count, air ]
    post_readings({ t_c: 31, rh: 61 }.to_json)
    assert_equal 422, response.status
    assert_match(/nothing was kept.*error [A-Z0-9]{6}/, sentence)
    assert_equal before, [ ClimateReading.count, @instrument.readings.count, air ]
  ensure
    planner.singleton_class.remove_method(:plan)
    planner.define_singleton_method(:plan, real)
  end

  # Read 3.6 degrees too cold: in the next hour 6/7 of that are left, after seven hours nothing.
  test "the hours to come bend back to what the room is set to" do
    post_readings({ t_c: 16.4, rh: 50 }.to_json)
    hour = Time.current.beginning_of_hour
    assert_equal 16.4, air(hour + 10.minutes).first
    assert_in_delta 20 - 3.6 * 6 / 7, air(hour + 70.minutes).first, 0.06
    assert_in_delta 20 - 3.6 / 7, air(hour + 6.hours + 10.minutes).first, 0.06
    assert_equal 20.0, air(hour + 8.hours).first
  end

  test "plans dry by it: colder air is a later date, and a reading that hardly differs moves nothing" do
    piece = make_piece(steps: [ coat("s1", coats: 2) ])
    before = ShopFloor.new.plan.build.ready[piece.core_id]
    post_readings({ t_c: 12, rh: 75 }.to_json)
    assert_operator ShopFloor.new.plan.build.ready[piece.core_id], :>, before
    stamp = Stamp.read.of("climate_readings")
    post_readings({ t_c: 12.1, rh: 75.4 }.to_json)
    assert_equal stamp, Stamp.read.of("climate_readings")
  end

  test "what cannot be is refused by its number, and the rest is taken" do
    sent = [ { t_c: 19, rh: 50 }, { t_c: 85, rh: 50 }, { t_c: 19, rh: 0 }, { t_c: "warm", rh: 50 },
             { t_c: 19, rh: 50, at: 1.hour.from_now.iso8601 }, { t_c: 19, rh: 50, at: "noon" }, 7 ]
    post_readings({ readings: sent }.to_json)
    assert_response :ok
    assert_equal [ 1, [ 2, 3, 4, 5, 6, 7 ] ], [ answer["taken"], answer["refused"].map { |one| one["reading"] } ]
    assert answer["refused"].all? { |one| one["sentence"].length > 10 }
    [ "{}", "[]", "no json", "null" ].each do |body|
      post_readings(body)
      assert_response :unprocessable_entity, body
    end
  end

  test "a jump is kept and marked, and used once the next reading says the same" do
    now = Time.current.beginning_of_hour + 30.minutes
    travel_to now do
      post_readings({ t_c: 20, rh: 50, at: (now - 20.minutes).iso8601 }.to_json)
      post_readings({ t_c: 31, rh: 50, at: (now - 10.minutes).iso8601 }.to_json)
      assert_equal 1, answer["marked"]
      assert_equal 20.0, air(now).first
      assert_equal "jump", @instrument.reload.state(now)
      post_readings({ t_c: 31.2, rh: 50, at: now.iso8601 }.to_json)
      assert_operator air(now).first, :>, 26
      assert_equal "ok", @instrument.reload.state(now)
    end
  end

  test "a stranger is refused, and a token that was renewed is one" do
    post_readings({ t_c: 19, rh: 50 }.to_json, token: "nobody")
    assert_response :unauthorized
    assert_predicate sentence, :present?
    send_json("/shop/instruments/#{@instrument.id}", { renew: true }, :patch)
    fresh = answer["token"]
    post_readings({ t_c: 19, rh: 50 }.to_json)
    assert_response :unauthorized
    post_readings({ t_c: 19, rh: 50 }.to_json, token: fresh)
    assert_response :ok
  end

  test "an instrument is begun with a token that is told once, and taken away" do
    send_json("/shop/instruments", { name: "Door", room: @room.id })
    assert_operator answer["token"].length, :>=, 24
    assert_equal %w[Wall Door], answer["rooms"].first["instruments"].map { |one| one["name"] }
    send_json("/shop/instruments", { name: "Door", room: @room.id })
    assert_response :unprocessable_entity
    send_json("/shop/instruments/#{@instrument.id}", {}, :delete)
    assert_equal %w[Door], answer["rooms"].first["instruments"].map { |one| one["name"] }
    send_json("/shop/instruments/#{Instrument.last.id}", { stand_in: "noisy" }, :patch)
    assert_match(/no stand-in/, sentence)
  end

  test "each way in which a stand-in fails is told, and none of them moves the plan by nonsense" do
    stand_in, = Instrument.begin!(name: "Stand-in", room: @room, stand_in: "none")
    Instrument::Watch.once
    assert_equal "ok", stand_in.state
    assert_in_delta 20.8, air.first, 0.6
    states = Devices::SimulatedHygrometer::FAULTS.drop(1).to_h do |fault|
      stand_in.readings.destroy_all
      Instrument::Watch.once(now: 10.minutes.ago)
      send_json("/shop/instruments/#{stand_in.id}", { stand_in: fault }, :patch)
      assert_response :ok, fault
      assert_includes 15..27, air.first, fault
      send_json("/shop/instruments/#{stand_in.id}", { stand_in: "none" }, :patch)
      [ fault, stand_in.reload.readings.where(jump: true).count ]
    end
    assert_equal 1, states["jump"]
    send_json("/shop/instruments/#{stand_in.id}", { stand_in: "explodes" }, :patch)
    assert_response :unprocessable_entity
  end

  test "the bench says whether the air was read" do
    get "/bench"
    assert_nil props["rooms"].first["read"]
    post_readings({ t_c: 16.4, rh: 61 }.to_json)
    get "/bench"
    assert_equal [ 16.4, "ok" ], [ props["rooms"].first["t_c"], props["rooms"].first["read"]["state"] ]
    travel 2.hours do
      get "/bench"
      assert_equal "silent", props["rooms"].first["read"]["state"]
    end
  end

  test "what is held on the work sends values that wait at the bench, refused or marked as they deserve" do
    meter, token = Instrument.begin!(name: "Pin meter", kind: "moisture")
    now = Time.current.change(usec: 0)
    post_readings([ 9.1, 8.8, 24.0, 9.4 ].each_with_index.map { |value, index|
      "value=#{value} at=#{(now - 60 + index * 10).iso8601}"
    }.join("\n"), token: token, type: "text/plain")
    assert_equal({ "taken" => 4, "marked" => 1, "refused" => [] }, answer)
    post_readings({ readings: [ { value: 99 }, { value: "wet" }, {} ] }.to_json, token: token)
    assert_response :unprocessable_entity
    assert_equal [ 1, 2, 3 ], answer["refused"].map { |one| one["reading"] }
    get "/readings?kind=moisture", headers: JSON_HEADERS
    one = answer["instruments"].sole
    assert_equal [ "Pin meter", "moisture meter", "%" ], one.values_at("name", "words", "unit")
    assert_equal [ [ [ 9.1 ], false ], [ [ 8.8 ], false ], [ [ 24.0 ], true ], [ [ 9.4 ], false ] ],
                 one["readings"].map { |reading| reading.values_at("value", "jump") }
    travel 20.minutes do
      get "/readings?kind=moisture", headers: JSON_HEADERS
      assert_empty answer["instruments"].sole["readings"], "what is older is of other work"
    end
    assert_equal 4, meter.hand_readings.count
    reader, token = Instrument.begin!(name: "Reader", kind: "colour")
    post_readings("l=52.1 a=14 b=31,5", token: token, type: "text/plain")
    assert_equal [ 52.1, 14.0, 31.5 ], reader.hand_readings.sole.value
  end

  # A stand-in is held on what the bench expects, and fails as it is told to.
  test "a stand-in of the hand is pressed, and each way in which it fails is told" do
    comb, = Instrument.begin!(name: "Comb", kind: "comb", stand_in: "none")
    press = -> { send_json("/instruments/#{comb.id}/press", { near: [ 100 ] }) }
    press.call
    assert_in_delta 100, answer["instrument"]["readings"].sole["value"].first, 15
    assert_equal 0, answer["instrument"]["readings"].sole["value"].first % 5, "a comb shows its teeth"
    { "disconnected" => /does not answer/, "out_of_range" => /out of its range/ }.each do |fault, words|
      comb.update!(stand_in: fault)
      press.call
      assert_match words, sentence
      assert_equal "typed readings meanwhile", answer.dig("error", "accepted")
    end
    travel 1.minute
    comb.update!(stand_in: "jump")
    press.call
    assert answer["instrument"]["readings"].last["jump"]
    comb.update!(stand_in: "stale")
    before = answer["instrument"]["readings"].size
    press.call
    assert_equal before, answer["instrument"]["readings"].size, "three hours old: not offered"
    comb.update!(stand_in: nil)
    press.call
    assert_response :not_found
  end

  test "the weather of the day to come is the air of the room that lies in it" do
    yard = Room.create!(name: "yard", t_c: 10, rh: 60)
    send_json("/shop/instruments", { name: "Sky", kind: "weather" })
    assert_response :not_found
    line, token = Instrument.begin!(name: "Sky", kind: "weather", room: yard)
    noon = 6.hours.from_now.beginning_of_hour
    sent = [ { t_c: 4, rh: 90, at: noon.iso8601 }, { t_c: 3, rh: 92, at: (noon + 1.hour).iso8601 },
             { t_c: 3, rh: 92, at: 3.days.from_now.iso8601 }, { t_c: 3, rh: 92, at: 2.hours.ago.iso8601 } ]
    post_readings({ readings: sent }.to_json, token: token)
    assert_equal [ 2, [ 3, 4 ] ], [ answer["taken"], answer["refused"].map { |one| one["reading"] } ]
    assert_equal 4.0, Room.find(yard.id).air_at(noon + 30.minutes).t_c
    assert_equal "ok", line.reload.state
    stand_in, = Instrument.begin!(name: "Stand-in", kind: "weather", room: yard, stand_in: "none")
    Instrument::Watch.once
    assert_equal "ok", stand_in.reload.state
    assert_operator yard.climate_readings.where(kind: "forecast").count, :>=, 24
    stand_in.update!(stand_in: "out_of_range")
    stand_in.readings.delete_all
    Instrument::Watch.once
    assert_equal "new", stand_in.reload.state, "99 °C is refused"
  end

  test "an instrument is of a kind that there is" do
    send_json("/shop/instruments", { name: "Rod", kind: "divining" })
    assert_match(/An instrument is one of hygrometer, weather, moisture/, sentence)
    send_json("/shop/instruments", { name: "Meter", kind: "moisture" })
    assert_operator answer["token"].length, :>=, 24
    assert_equal %w[Meter], answer["hand_instruments"].map { |one| one["name"] }
  end
end
