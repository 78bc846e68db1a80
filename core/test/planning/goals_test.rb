require "test_helper"

class GoalsTest < CoreTest
  WORK = -> {
    [ "a", "b" ].map do |id|
      piece(
        document(step("s0", "sand", grits: [ "P180" ]), coat("s1", coats: 3)), id: id, due: "2026-12-11T16:00+01:00"
      )
    end
  }

  def of(goal, **fields) = plan(*instance_exec(&WORK), goal: goal, **fields)

  def test_unmet_rules_and_lateness_come_before_every_goal
    Rhexon::Search::Goal::NAMES.each { |name| assert_equal [ 0, 0 ], of(name).build.goal.first(2), name }
  end

  def test_fewest_sessions_never_takes_more_than_soonest
    soonest, fewest = of("soonest", now: "2026-11-23T13:00+01:00",
                                    effort: "full"), of(
                                      "fewest_sessions", now: "2026-11-23T13:00+01:00", effort: "full"
                                    )
    assert_operator report(fewest)["goal"]["sessions"], :<=, report(soonest)["goal"]["sessions"]
    assert_operator soonest.build.ready.values.max, :<=, fewest.build.ready.values.max
  end

  # Begun as late as the due date allows on nine days of ten; still in time, and within two shop days of it.
  def test_late_as_safe_begins_late_and_is_in_time
    late = of("late_as_safe")
    assert_equal 0, late.build.late_min
    assert_operator late.placements.first.hands_start, :>, of("soonest").placements.first.hands_start + 10 * 1440
    assert_operator late.build.ready.values.max, :>, at("2026-12-09T16:00+01:00")
    assert_in_delta 0.9, late.shop.share, 1e-9
  end

  def test_pieces_of_one_job_are_late_together
    late = instance_exec(&WORK).map { |piece| piece.merge("due" => "2026-11-23T08:00+01:00") }
    apart = plan(*late).build.late_min
    together = plan(*late.map { |piece| piece.merge("job" => "j1") }).build.late_min
    assert_operator together, :<, apart
  end

  # An accepted plan is left alone when leaving it costs less than ten minutes a moved pass.
  def test_a_new_plan_stays_near_the_accepted_one_and_says_what_moved
    accepted = of("soonest")
    previous = accepted.placements.map do |found|
      { "pass" => found.pass.key, "start" => accepted.shop.zone.iso(found.hands_start), "person" => found.person }
    end
    assert_empty report(of("soonest", previous: previous))["moved"]
    later = report(of("soonest", previous: previous, now: "2026-11-23T09:00+01:00"))["moved"]
    assert_equal previous.first["pass"], later.first["pass"]
    assert_equal [ "2026-11-23T07:30+01:00", "2026-11-23T09:00+01:00" ], later.first.values_at("from", "to")
  end

  # Another order than the planner would find by itself: what was accepted stays as long as it is as good.
  def test_an_accepted_order_is_kept
    pieces = %w[a b].map { |id|
      piece(document(step("s1", "sand", grits: %w[P180], machine: true)), id: id, area_m2: 25 / 7.5)
    }
    assert_equal %w[a b], plan(*pieces).placements.map { |found| found.pass.piece.id }
    previous = [
      { "pass" => "b/s1/1/show", "start" => "2026-11-23T07:30+01:00", "person" => "imke" },
      { "pass" => "a/s1/1/show", "start" => "2026-11-23T08:00+01:00", "person" => "imke" }
    ]
    kept = plan(*pieces, previous: previous)
    assert_equal %w[b a], kept.placements.map { |found| found.pass.piece.id }
    assert_empty report(kept)["moved"]
  end

  def test_work_that_is_new_or_gone_is_told
    previous = [ { "pass" => "a/s9/1/show", "start" => "2026-11-23T10:00+01:00" } ]
    moved = report(of("soonest", previous: previous))["moved"]
    assert_equal [ "gone", nil ], moved.last.values_at("because", "to")
    assert_equal "new", moved.first["because"]
  end

  def test_the_same_seed_gives_the_same_full_plan
    plans = Array.new(2) { report(of("soonest", effort: "full", seed: 3)) }
    assert_equal JSON.generate(plans.first), JSON.generate(plans.last)
  end

  # 8 h of sanding for one pair of hands on a day of 9 h: 16 pieces of 30 min (25 by machine, 2 to take up, 3 to set up)
  # end no sooner than 15:30.
  def test_the_bound_counts_all_hands
    pieces = Array.new(16) do |index|
      piece(document(step("s1", "sand", grits: [ "P180" ], machine: true)), id: "p#{index}", area_m2: 25 / 7.5)
    end
    plan = plan(*pieces)
    assert_equal [ at("2026-11-23T15:30+01:00"), "hands" ], [ plan.bound.ready_at, plan.bound.because ]
    assert_equal plan.bound.ready_at, plan.build.ready.values.max
  end
end
