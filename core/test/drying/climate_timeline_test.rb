require "test_helper"

# The air of a room that changes, and what dries in it.
class LineTest < CoreTest
  Line = Rhexon::Drying::ClimateTimeline
  Rate = Rhexon::Drying::Rate
  BERLIN = Rhexon::Zone.new("Europe/Berlin")
  SETBACK = [ { "at" => "06:00", "t_c" => 20, "rh" => 50 }, { "at" => "18:00", "t_c" => 10, "rh" => 50 } ].freeze
  EVENING = "2026-11-23T18:00+01:00".freeze

  def line(climate: [], daily: []) = Line.read({ "climate" => climate, "daily" => daily }, BERLIN)
  def hour(from, t_c, rh = 50) = { "from" => from, "t_c" => t_c, "rh" => rh }

  def product(klass, **more)
    Rhexon::Materials::Product.new({ "id" => "p", "class" => klass, **more.transform_keys(&:to_s) })
  end

  def milestones(klass, air, from)
    product = product(klass)
    method = product.methods_known.first
    Rhexon::Drying::Milestones.new(
      Rhexon::Drying::Milestones::Coat.new(product: product, method: method, wet_um: product.wet_um(method).value,
                                           earlier_coats: 0, stack_dry_um: nil),
      air, at(from)
    )
  end

  def test_a_daily_pattern_holds_day_by_day
    night = line(daily: SETBACK)
    assert_equal [ 10, 20, 20, 10 ],
                 %w[
                   2026-11-23T05:59 2026-11-23T06:00 2026-11-23T17:59 2026-11-23T18:00
                 ].map { |text| night.at(at("#{text}+01:00")).t_c }
    assert_equal at(EVENING), night.change_after(at("2026-11-23T07:00+01:00"))
    refute_predicate night, :steady?
  end

  def test_the_pattern_keeps_local_hours_when_summer_time_begins
    night = line(daily: SETBACK)
    assert_equal at("2026-03-29T06:00+02:00"), night.change_after(at("2026-03-28T20:00+01:00"))
  end

  def test_what_is_known_hour_by_hour_comes_before_the_pattern
    both = line(climate: [ hour("2026-11-23T10:00+01:00", 15), hour("2026-11-23T11:00+01:00", 16) ], daily: SETBACK)
    assert_equal [ 20, 15, 16, 20 ],
                 %w[09:59 10:30 11:59 12:00].map { |clock| both.at(at("2026-11-23T#{clock}+01:00")).t_c }
  end

  def test_an_entry_with_an_end_gives_way_to_the_pattern_and_a_later_one_lies_over_an_earlier
    past = line(
      climate: [
        { **hour("2026-11-20T00:00+01:00", 18), "until" => "2026-11-23T08:00+01:00" },
        { **hour("2026-11-22T10:00+01:00", 25), "until" => "2026-11-22T11:00+01:00" }
      ],
      daily: SETBACK
    )
    assert_equal [ 18, 25, 18, 20, 20 ],
                 %w[
                   2026-11-22T09:59 2026-11-22T10:30 2026-11-22T11:00 2026-11-23T08:00 2026-11-19T12:00
                 ].map { |text| past.at(at("#{text}+01:00")).t_c }
  end

  # 20 of the 45 min pass before the heating goes down at 18:00; the other 25 take 1.838 times as long at 10 °C.
  def test_the_night_set_back_delays_what_is_laid_before_it
    opens = milestones("nitro_lacquer", line(daily: SETBACK), "2026-11-23T17:40+01:00")["recoat_opens"]
    assert_in_delta 20 + 25 * 1.838, opens.minutes, 0.05
  end

  # Varnish does nothing below 5 °C: 16 h of 20 °C, 12 h of frost that do not count, then 0 of the rest.
  def test_frost_stops_an_oil_film_and_it_goes_on_after
    frost = line(climate: [
                   hour("2026-11-23T00:00+01:00",
                        20), hour("2026-11-23T18:00+01:00", 2), hour("2026-11-24T06:00+01:00", 20)
                 ])
    opens = milestones("oil_varnish", frost, "2026-11-23T10:00+01:00")["recoat_opens"]
    assert_in_delta 960 + 720, opens.minutes, 1e-6
    for_ever = milestones("oil_varnish",
                          line(climate: [ hour("2026-11-23T00:00+01:00", 20), hour("2026-11-23T18:00+01:00", 2) ]),
                          "2026-11-23T10:00+01:00")["recoat_opens"]
    assert_predicate for_ever.minutes, :infinite?
  end

  # exp(50000/R (1/303.15 - 1/293.15)) = 0.508: after 6 h at 20 °C the other 6 of 12 take 3 h 03 at 30 °C. Cold gives
  # no credit.
  def test_warmth_shortens_a_window_from_when_it_comes
    warm = line(climate: [ hour("2026-11-23T06:00+01:00", 20), hour("2026-11-23T12:00+01:00", 30) ])
    assert_in_delta 360 + 360 * 0.508,
                    milestones("waterborne_two_part", warm, "2026-11-23T06:00+01:00")
                      .closing
                      .at(at("2026-11-23T06:00+01:00")) -
                      at("2026-11-23T06:00+01:00"),
                    1
    cold = line(climate: [ hour("2026-11-23T06:00+01:00", 20), hour("2026-11-23T12:00+01:00", 8) ])
    assert_in_delta 720,
                    milestones("waterborne_two_part", cold, "2026-11-23T06:00+01:00")
                      .closing
                      .at(at("2026-11-23T06:00+01:00")) -
                      at("2026-11-23T06:00+01:00"),
                    0
  end

  def test_the_ledger_sums_in_changing_air_too
    changing = line(climate: [
                      hour("2026-11-23T00:00+01:00", 19, 60), hour("2026-11-23T11:00+01:00", 14, 75),
                      { **hour("2026-11-23T13:00+01:00", 17, 55), "air" => "moving" }
                    ])
    found = milestones("waterborne_one_part", changing, "2026-11-23T10:00+01:00")["sand"]
    assert_in_delta found.minutes, found.ledger.sum(&:last), 1e-6
    assert_operator found.factors[:temperature], :>, 1
    assert_operator found.factors[:air], :<, 1
  end

  def test_progress_is_the_integral_of_the_rate_both_ways
    random = Random.new(3)
    20.times do
      entries = Array.new(30) do |index|
        hour("2026-11-#{format("%02d", 10 + index / 24)}T#{format("%02d", index % 24)}:00+01:00", random.rand(6.0..28),
             random.rand(30..80))
      end
      progress = Rate.progress(product("waterborne_one_part"), "early", line(climate: entries))
      from = at("2026-11-10T03:17+01:00") + random.rand(600)
      needed = random.rand(5.0..900)
      assert_in_delta needed, progress.between(from, progress.reached(from, needed)), 1e-6
      assert_in_delta needed,
                      by_hand(product("waterborne_one_part"), line(climate: entries), from,
                              progress.reached(from, needed)),
                      needed * 0.002
    end
  end

  def test_air_that_cannot_be_is_refused_where_it_stands
    assert_match(/says from when/,
                 refusal { line(climate: [ { "t_c" => 20, "rh" => 50 }, { "t_c" => 20, "rh" => 50 } ]) }.message)
    assert_match(/A room has air/, refusal { line }.message)
    assert_equal "rooms/bench/climate/rh",
                 refusal {
                   Rhexon::Planning::Shop.new(
                     shop_json(rooms: [
                                 { "id" => "bench", "daily" => [ { "at" => "06:00", "t_c" => 20, "rh" => 140 } ] }
                               ])
                   )
                 }.where
    assert_match(
      /written 06:00/,
      refusal {
        Rhexon::Planning::Shop.new(
          shop_json(rooms: [ { "id" => "bench", "daily" => [ { "at" => "6", "t_c" => 20, "rh" => 40 } ] } ])
        )
      }.message
    )
  end

  # --- in the plan
  def overnight(**room)
    plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2))),
         now: "2026-11-23T15:00+01:00", rooms: [ { "id" => "bench", **room.transform_keys(&:to_s) } ])
  end

  def test_a_plan_waits_for_the_cold_night
    steady = overnight(climate: [ { "t_c" => 20, "rh" => 50 } ])
    cold = overnight(daily: SETBACK)
    assert_operator cold.build.ready["top"], :>, steady.build.ready["top"]
    rates = report(cold)["rates"]["bench"]["oxidative.early"]
    assert_operator rates.size, :>, 2
    assert_in_delta 1.0, rates[0][1], 1e-6
    assert_in_delta 1 / 2.219, rates[1][1], 0.001
  end

  def test_the_checks_look_at_the_air_of_the_hour
    evening = plan(
      piece(document(coat("s1"))), now: "2026-11-23T15:00+01:00",
                                   rooms: [
                                     {
                                       "id" => "bench",
                                       "daily" => [ { "at" => "06:00", "t_c" => 20, "rh" => 50 },
                                                    { "at" => "14:00", "t_c" => 6, "rh" => 50 } ]
                                     }
                                   ]
    )
    assert_equal [ "stop" ], findings(evening, "climate.cold").map(&:level)
    morning = plan(
      piece(document(coat("s1"))), now: "2026-11-23T07:30+01:00",
                                   rooms: [
                                     {
                                       "id" => "bench",
                                       "daily" => [ { "at" => "06:00", "t_c" => 20, "rh" => 50 },
                                                    { "at" => "14:00", "t_c" => 6, "rh" => 50 } ]
                                     }
                                   ]
    )
    assert_empty findings(morning, "climate.cold")
  end

  # Plans are made in several threads over the same room.
  def test_one_table_serves_several_threads
    progress = -> {
      Rate.progress(product("oil_varnish"), "hard",
                    line(climate: [], daily: SETBACK.map { |hour| hour.merge("rh" => 50 + @turn) }))
    }
    10.times do |turn|
      @turn = turn
      asked = Array.new(40) { |index| [ at("2026-11-23T09:00+01:00") - index * 700, 500.0 + 1500 * index ] }
      shared = progress.call
      found = asked.map { |from, needed| Thread.new { Thread.pass; shared.reached(from, needed) } }.map(&:value)
      alone = asked.map do |from, needed|
        Line
          .new(
            [],
            SETBACK.map do |hour|
              [ hour["at"].to_i * 60, Rhexon::Drying::Climate.new(t_c: hour["t_c"], rh: 50 + turn) ]
            end,
            BERLIN
          )
          .then { |own| Rate.progress(product("oil_varnish"), "hard", own).reached(from, needed) }
      end
      alone.zip(found) { |one, other| assert_in_delta one, other, 1e-6 }
    end
  end

  def test_the_drawn_air_begins_at_the_first_minute_and_follows_each_change
    drawn = Rhexon::Picture::AirLine.for(line(daily: SETBACK), at("2026-11-23T12:00+01:00"),
                                         at("2026-11-24T12:00+01:00"))
    assert_equal [
      [ "2026-11-23T12:00+01:00", 20.0 ], [ "2026-11-23T18:00+01:00", 10.0 ], [ "2026-11-24T06:00+01:00", 20.0 ]
    ],
                 drawn.map { |air| [ BERLIN.iso(air.from), air.t_c ] }
    assert_equal 1,
                 Rhexon::Picture::AirLine.for(Line.steady(Rhexon::Drying::Climate.new(t_c: 20, rh: 50)), 0, 9000).size
  end

  private

  # Minute by minute, by the factor alone.
  def by_hand(product, line, from, to)
    (from...to.ceil).sum { |minute| [ 1, to - minute ].min * Rate.factors(product, "early", line.at(minute)).rate }
  end
end
