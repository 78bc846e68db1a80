require "test_helper"

# Hand-worked cases. One square metre is sprayed in 60 / 25 = 2.4 and taken up in 2, so 5 minutes; set-up 10, clean-up
# 15: 30 minutes of hands.
class PlannerTest < CoreTest
  def test_a_coat_starts_with_its_set_up_and_its_window_counts_from_the_end_of_laying
    plan = plan(piece(document(coat("s1", coats: 2))))
    first, second = plan.placements
    assert_equal %w[07:30 07:40 07:45 08:00], times(first)
    # recoat opens 90 min after 07:45 = 09:15; hands 10 min before is 09:05
    assert_equal %w[09:05 09:15 09:20 09:35], times(second)
    assert_equal "open", second.window.state
    assert_equal [ at("2026-11-23T09:15+01:00"), at("2026-11-23T19:45+01:00") ],
                 [ second.window.opens_at, second.window.closes_at ]
  end

  def times(placement)
    zone = Rhexon::Zone.new("Europe/Berlin")
    %i[hands_start work_start work_end hands_end].map { |name| zone.iso(placement[name])[11, 5] }
  end

  # Six alike pieces of 1 m², 5 min each: the window opens by the last piece (30 min), closes by the first (5 min).
  def test_alike_pieces_open_by_the_last_and_close_by_the_first
    first, second = plan(piece(document(coat("s1", coats: 2)), count: 6)).placements
    assert_equal at("2026-11-23T08:10+01:00") + 90, second.window.opens_at
    assert_equal at("2026-11-23T07:45+01:00") + 720, second.window.closes_at
    assert_equal 30, first.work_end - first.work_start
  end

  def test_hands_do_not_straddle_closing_time
    second = plan(piece(document(coat("s1", coats: 2))), now: "2026-11-23T14:40+01:00")
      .placements
      .find { |found| found.pass.coat == 2 }
    # opens 14:50 + 3 + 90 = 16:23, too late for 28 minutes before 16:30; next morning the 12 h window is gone
    assert_equal "2026-11-24", Rhexon::Zone.new("Europe/Berlin").date(second.hands_start).iso8601
  end

  def test_a_window_missed_overnight_is_scuffed_first
    plan = plan(piece(document(coat("s1"), step("s2", "wait", minutes: 1000), coat("s3"))))
    scuff = plan.placements.find { |found| found.pass.kind == "scuff" }
    coat = placement(plan, "s3/1")
    assert_equal "top/s3/1/show/scuff", scuff.pass.key
    assert_equal "scuffed", coat.window.state
    assert_operator scuff.hands_end, :<=, coat.hands_start
    assert_equal 30, coat.work_start - coat.work_start % 5 - (scuff.hands_end - scuff.hands_end % 5) - 5,
                 "dust settles for 30 min, on the grid"
    refute coat.inside
    assert_equal 1, report(plan)["goal"]["scuffs"]
  end

  def test_where_dust_is_drawn_off_the_scuff_ends_where_the_coats_hands_begin
    plan = plan(piece(document(coat("s1"), step("s2", "wait", minutes: 1000), coat("s3"))),
                house: { "dust_settles_min" => 0 })
    assert_operator placement(plan, "s3/1").hands_start - plan.build.scuffs.first.hands_end, :<, 5
  end

  def test_an_ordinary_sanding_counts_as_the_scuff_for_a_day
    steps = [
      coat("s1"), step("s2", "wait", minutes: 1000), step("s3", "level", grits: [ "P320" ], aim: "between"), coat("s4")
    ]
    plan = plan(piece(document(*steps)))
    assert_equal "scuffed", placement(plan, "s4/1").window.state
    assert_equal 0, report(plan)["goal"]["scuffs"]
    stale = plan(piece(document(*steps.insert(3, step("s5", "wait", minutes: 2000)))))
    assert_equal 1, report(stale)["goal"]["scuffs"], "after 24 h it needs a new one"
  end

  def test_lacquer_never_needs_a_scuff
    plan = plan(
      piece(document(coat("s1", product: "lacquer"), step("s2", "wait", minutes: 9000), coat("s3", product: "lacquer")))
    )
    assert_equal "open", placement(plan, "s3/1").window.state
    assert_nil placement(plan, "s3/1").window.closes_at
  end

  def test_schools_of_scuffing
    steps = document(coat("s1", coats: 2))
    count = ->(school, **fields) {
      report(plan(piece(steps), house: { "scuff" => school }, **fields))["goal"]["scuffs"]
    }
    assert_equal 0, count.call("none")
    assert_equal 1, count.call("always")
    assert_equal 0, count.call("after_a_night")
    night = document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2))
    assert_equal 1, report(plan(piece(night), house: { "scuff" => "after_a_night" }))["goal"]["scuffs"],
                 "varnish opens after 16 h: next day, inside its window"
    assert_equal 0, report(plan(piece(night)))["goal"]["scuffs"]
  end

  def test_after_a_scuff_the_coat_waits_for_sand_too
    coat = placement(plan(piece(document(coat("s1", coats: 2))), house: { "scuff" => "always" }), "s1/2")
    assert_operator coat.work_start, :>=, at("2026-11-23T07:43+01:00") + 120, "sand is 120 min, recoat 90"
  end

  # At 15:30 coat 1 shuts overnight. Alone, scuffing is the sooner way; while another piece cures for two weeks,
  # holding coat 1 costs nothing.
  def test_a_lost_window_is_caught_by_holding_when_nothing_is_lost_by_it
    two_coats = piece(document(coat("s1", coats: 2)))
    alone = plan(two_coats, now: "2026-11-23T15:30+01:00")
    assert_equal 1, report(alone)["goal"]["scuffs"]
    beside = plan(two_coats, piece(document(coat("s1")), id: "slow", ready_at: "full_cure"),
                  now: "2026-11-23T15:30+01:00")
    assert_equal 0, report(beside)["goal"]["scuffs"]
    assert_operator beside.of_piece("top").first.hands_start, :>=, at("2026-11-24T07:30+01:00")
  end

  def test_dye_waits_for_what_goes_over_it
    steps = document(step("s1", "stain", product: "russet", method: "wipe"), coat("s2"))
    plan = plan(piece(steps))
    # wiped at 12 m²/h: 5 min and 2, set-up 3: laid 07:40; 3 h under waterborne
    assert_equal at("2026-11-23T10:40+01:00"), placement(plan, "s2/1").waits.first.reached_at
  end

  def test_rub_out_waits_three_days_at_least_and_by_school
    steps = document(coat("s1"), step("s2", "rub_out", grits: [ "P800" ]))
    wait = ->(**fields) {
      placement(plan(piece(steps), **fields), "s2/1")
          .waits.first
          .then { |found| found.reached_at - found.from }
    }
    assert_equal 4320, wait.call
    assert_equal 6480, wait.call(house: { "rub_out" => "cautious" })
    assert_equal 4320, wait.call(house: { "rub_out" => "brisk" }), "never below the floor"
  end

  # 14 m² at 25 m²/h take 33.6 min and 2; 20 pieces take 720, a day has 540. Their scuff takes 58 min each, so that
  # eight at most are one lot.
  def test_a_coat_longer_than_a_day_is_split_into_parts_of_whole_pieces
    plan = plan(piece(document(coat("s1", coats: 2)), count: 20, area_m2: 14.0))
    parts = plan.placements.select { |found| found.pass.coat == 1 && !found.pass.inserted }
    assert_equal 20, parts.sum { |found| found.pass.count }
    assert_operator parts.size, :>, 1
    assert_equal %w[pieces1-7 pieces8-14 pieces15-20], parts.map { |found| found.pass.part }
    second = plan.placements.find { |found| found.pass.key.end_with?("/2/show/pieces1-7") }
    assert_equal [ parts.first.pass.key ], second.waits.map { |wait| wait.pass.key }, "each part has its own clock"
  end

  def test_one_pair_of_hands_serves_two_pieces_and_uses_the_drying_time
    plan = plan(piece(document(coat("s1", coats: 3)), id: "a"), piece(document(coat("s1", coats: 3)), id: "b"))
    alone = plan(piece(document(coat("s1", coats: 3)), id: "a")).build.ready["a"]
    assert_operator plan.build.ready.values.max - alone, :<=, 35, "the second piece fits into the first one's waits"
  end

  def test_a_pin_wins_even_over_a_milestone
    pin = { "coat" => 2, "start" => "2026-11-23T08:20+01:00" }
    second = placement(plan(piece(document(coat("s1", coats: 2, pins: [ pin ])))), "s1/2")
    assert_equal at(pin["start"]), second.hands_start
    assert_equal %w[too_soon pin], [ second.window.state, second.because ]
  end

  def test_a_pin_outside_shop_hours_or_before_the_step_before_it_lapses
    %w[2026-11-23T05:00+01:00 2026-11-28T10:00+01:00 2026-11-23T07:40+01:00].each do |start|
      plan = plan(piece(document(coat("s1", coats: 2, pins: [ { "coat" => 2, "start" => start } ]))))
      assert_equal [ "top/s1/2/show" ], plan.build.lapsed, start
      refute_equal at(start), placement(plan, "s1/2").hands_start
    end
  end

  def test_what_the_log_says_is_fixed_and_the_rest_follows_it
    log = [
      { "kind" => "started", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:31:40+01:00" },
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T08:17:10+01:00" }
    ]
    first, second = plan(piece(document(coat("s1", coats: 2))), log: log, now: "2026-11-23T08:20+01:00").placements
    assert_equal [ at("2026-11-23T07:31+01:00"), at("2026-11-23T08:17+01:00"), "done" ],
                 [ first.hands_start, first.work_end, first.status ]
    assert_equal at("2026-11-23T09:47+01:00"), second.window.opens_at
  end

  def test_a_coat_in_hand_takes_the_hands_until_it_is_done
    log = [ { "kind" => "started", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:30+01:00" } ]
    plan = plan(
      piece(document(coat("s1"))), piece(document(step("s1", "sand", grits: [ "P150" ])), id: "b"), log: log,
      now: "2026-11-23T07:40+01:00"
    )
    assert_equal "running", plan.placements.first.status
    assert_operator plan.of_piece("b").first.hands_start, :>=, at("2026-11-23T07:58+01:00")
  end

  def test_not_yet_moves_the_estimate_and_dry_settles_it
    log = [ { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:43+01:00" },
            {
              "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "recoat_opens", "answer" => "not_yet",
              "at" => "2026-11-23T09:20+01:00"
            } ]
    later = plan(piece(document(coat("s1", coats: 2))), log: log, now: "2026-11-23T09:20+01:00").placements.last
    # 15 % of 90 min = 13.5: look again at 09:34
    assert_equal at("2026-11-23T09:34+01:00"), later.window.opens_at
    assert_equal at("2026-11-23T19:43+01:00"), later.window.closes_at, "a closing is never moved by a late dry"
    dry = log +
      [
        {
          "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "recoat_opens", "answer" => "dry",
          "at" => "2026-11-23T09:28+01:00"
        }
      ]
    assert_equal at("2026-11-23T09:28+01:00"),
                 plan(
                   piece(document(coat("s1", coats: 2))), log: dry, now: "2026-11-23T09:28+01:00"
                 ).placements.last.window.opens_at
  end

  def test_dry_before_its_time_is_believed
    log = [ { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:43+01:00" },
            {
              "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "recoat_opens", "answer" => "dry",
              "at" => "2026-11-23T08:30+01:00"
            } ]
    assert_equal at("2026-11-23T08:30+01:00"),
                 plan(
                   piece(document(coat("s1", coats: 2))), log: log, now: "2026-11-23T08:31+01:00"
                 ).placements.last.window.opens_at
  end

  def test_varnish_in_a_freezing_shop_is_infeasible_and_says_why
    plan = plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2))), t_c: 3)
    assert_nil plan.build.ready["top"]
    assert_equal(
      {
        "constraint" => "milestone", "passes" => [ "top/s1/2/show" ],
        "changes" => [ { "change" => "2 °C warmer in the bench", "ready_at" => "2026-11-29T17:24+01:00" } ],
        "also" => []
      },
      report(plan)["infeasible"]
    )
    assert_match(/not reached within 400 days/, findings(plan, "time.due").first.sentence)
  end

  def test_a_shop_that_never_opens_long_enough_is_infeasible
    plan = plan(piece(document(coat("s1"))), week: { "mon" => [ [ "08:00", "08:20" ] ] })
    assert_equal "hours", report(plan)["infeasible"]["constraint"]
  end

  def test_ready_cured_hands_on_and_elapsed
    summary = report(plan(piece(document(coat("s1")))))["pieces"].first
    assert_equal "2026-11-23T11:45+01:00", summary["ready_at"], "handle is 240 min after 07:45"
    assert_equal "2026-12-07T07:45+01:00", summary["cured_at"], "14 days"
    assert_equal [ 30, 255 ], summary.values_at("hands_min", "elapsed_min")
    assert_in_delta 18.7, summary["film_um"], 0.05
  end

  def test_the_same_input_gives_the_same_plan
    pieces = %w[a b c].map do |id|
      piece(document(step("s1", "sand", grits: %w[P120 P150]), coat("s2", coats: 3)), id: id, count: 3)
    end
    assert_equal *Array.new(2) { JSON.generate(Rhexon::Picture::Report.new(plan(*pieces, seed: 7)).to_h) }
  end

  def test_input_is_refused_with_a_sentence_and_its_place
    good = shop_json(piece(document(coat("s1"))))
    { good.merge("people" => []) => /at least one person/, good.merge("zone" => "Nowhere") => /not known/,
      good.merge("now" => "today") => /not a time/,
      good.merge("goal" => "cheapest") => /goal is promises, soonest, fewest/, good.merge("pieces" => [ piece(
        document(coat("s1", product: "x"))
      ) ]) => /product that is not there/,
      good.merge("pieces" => [ piece(document(coat("s1")), area_m2: -1) ]) => /area is more than 0/, good.except(
        "rooms"
      ) => /lacks rooms/ }.each do |json, sentence|
      assert_match sentence, refusal { Rhexon::Planning::Shop.new(json) }.message
    end
  end
end
