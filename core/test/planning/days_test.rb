require "test_helper"

# Summer time, holidays and people with days of their own, together with windows, scuffs and hard windows. Berlin
# springs forward on 29 March 2026 and falls back on 25 October.
class DaysTest < CoreTest
  EVERY_DAY = %w[mon tue wed thu fri sat sun].to_h { |day| [ day, [ %w[07:30 16:30] ] ] }.freeze

  def person(id, week: EVERY_DAY, except: []) = { "id" => id, "week" => week, "except" => except }

  # The two-part clear closes 720 min after laying ends at 16:15 on the Saturday: 04:15 winter time is 05:15 by the
  # clock. Scuffed 07:30 to 07:36, dust settles to 08:06, ten minutes of set-up before it, on the grid.
  def test_a_window_over_the_night_of_the_change_is_an_hour_shorter_on_the_clock
    made = plan(piece(document(coat("s1", coats: 2, pins: [ { "coat" => 1, "start" => "2026-03-28T16:00+01:00" } ]))),
                week: EVERY_DAY, now: "2026-03-28T15:50+01:00")
    window = report(made)["passes"].last["window"]
    assert_equal [ "2026-03-29T05:15+02:00", "scuffed" ], window.values_at("closes_at", "state")
    assert_equal "2026-03-29T08:00+02:00", report(made)["passes"].last["hands_start"]
  end

  # 24 h of waiting end an hour earlier by the clock in autumn.
  def test_a_wait_through_the_autumn_change_is_real_hours
    made = report(plan(
      piece(document(step("s1", "wait", minutes: 1440), step("s2", "look"))), week: EVERY_DAY,
      now: "2026-10-24T10:00+02:00"
    ))
    assert_equal "2026-10-25T09:00+01:00", made["passes"].last["hands_start"]
  end

  def test_after_a_night_means_another_local_date_whatever_the_clock_does
    shifts = EVERY_DAY.merge("sat" => [ %w[20:00 24:00] ], "sun" => [ %w[00:00 06:00] ])
    made = plan(piece(document(coat("s1", coats: 2))), week: shifts, now: "2026-03-28T22:45+01:00",
                                                       house: { "scuff" => "after_a_night" })
    assert_equal [ "scuff", "2026-03-29" ],
                 report(made)["passes"][1].then { |pass| [ pass["kind"], pass["hands_start"][0, 10] ] }
  end

  # Closed on Tuesday: the coat of Monday afternoon waits for Wednesday and is scuffed first.
  def test_a_holiday_shuts_a_window
    made = plan(piece(document(coat("s1", coats: 2))), now: "2026-11-23T15:30+01:00",
                                                       except: [ { "date" => "2026-11-24", "open" => [] } ])
    assert_equal [ %w[coat 2026-11-23], %w[scuff 2026-11-25], %w[coat 2026-11-25] ],
                 report(made)["passes"].map { |pass| [ pass["kind"], pass["hands_start"][0, 10] ] }
  end

  def test_a_holiday_of_one_leaves_the_work_to_the_other
    off = person("imke", except: [ { "date" => "2026-11-23", "open" => [] } ])
    assert_equal %w[osei osei],
                 plan(piece(document(coat("s1", coats: 2))), people: [ off, person("osei") ]).placements.map(&:person)
    alone = plan(piece(document(coat("s1", coats: 2))), people: [ off ])
    assert_equal at("2026-11-24T07:30+01:00"), alone.placements.first.hands_start
  end

  # Three coats from one pot of 240 min do not fit into the two hours of the short day: the whole block goes to the
  # next.
  def test_a_hard_window_does_not_straddle_a_short_day
    short = [ { "date" => "2026-11-23", "open" => [ %w[07:30 09:30] ] } ]
    made = plan(piece(document(coat("s1", coats: 2, one_batch: true))), except: short)
    assert_equal [ "2026-11-24" ],
                 made.placements.map { |placement| made.shop.zone.date(placement.hands_start).iso8601 }.uniq
  end

  def test_hours_that_summer_time_takes_are_not_worked
    night = { "sun" => [ %w[01:00 04:00] ] }
    made = report(plan(
      piece(document(step("s1", "sand", grits: %w[P180], machine: true)),
            area_m2: 19.3), week: night, now: "2026-03-28T12:00+01:00"
    ))
    stretches = [ %w[2026-03-29T01:00+01:00 2026-03-29T04:00+02:00], %w[2026-04-05T01:00+02:00 2026-04-05T01:30+02:00] ]
    assert_equal stretches, made["passes"].first["hands"], "of 150 minutes 120 fit into the three hours by the clock"
  end
end
