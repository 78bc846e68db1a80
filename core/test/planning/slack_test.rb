require "test_helper"

class SlackTest < CoreTest
  # One coat on one piece, due at 15:30, ready at handle 240 min after laying: laid by 11:30, so hands from 11:15 at
  # the latest.
  def test_the_last_coat_may_wait_until_the_due_date_allows
    plan = plan(piece(document(coat("s1")), due: "2026-11-23T15:30+01:00"))
    range = plan.slack["top/s1/1/show"]
    assert_equal at("2026-11-23T07:30+01:00"), range.earliest
    assert_equal at("2026-11-23T11:15+01:00"), range.latest, "11:15 + set-up 10 + laying 3 is 11:28, on the grid"
    late = plan.with_schedule(
      "top",
      Rhexon::Schedule::Edit.apply(plan.piece("top").schedule,
                                   { "op" => "pin", "id" => "s1", "coat" => 1, "start" => "2026-11-23T11:20+01:00" })
    )
    assert_operator late.build.ready["top"], :>, plan.piece("top").due
  end

  # The window below shuts 12 h after 07:43: a later start would lose it, but the shop shuts before.
  def test_a_coat_may_not_be_moved_out_of_its_window
    second = plan(piece(document(coat("s1", coats: 2)), due: "2026-12-20T12:00+01:00"),
                  week: WEEK.merge("mon" => [ %w[07:30 22:00] ])).slack["top/s1/2/show"]
    assert_operator second.latest, :<=, at("2026-11-23T19:43+01:00")
    assert_operator second.latest, :>, at("2026-11-23T18:00+01:00")
  end

  def test_a_pass_gives_way_to_what_the_hands_do_next
    plan = plan(piece(document(coat("s1")), id: "a", due: "2026-11-23T12:00+01:00"),
                piece(document(coat("s1")), id: "b", due: "2026-11-23T12:05+01:00"))
    ranges = plan.slack
    first, second = plan.placements.map { |placement| placement.pass.key }
    assert_operator ranges[first].latest + 28, :<=, ranges[second].latest
  end

  # Wherever in its range a pass is pinned, the plan stays legal and the piece is not later than planned or due.
  def test_the_whole_range_is_legal
    12.times do |seed|
      random = Random.new(seed)
      plan = plan(
        piece(document(step("s0", "sand", grits: [ "P180" ]), coat("s1", coats: 3), step("s2", "look")),
              due: "2026-12-04T12:00+01:00", area_m2: random.rand(0.4..2.0).round(1)),
        t_c: random.rand(14..24), rh: random.rand(35..65)
      )
      key, range = plan.slack.to_h.to_a.sample(random: random)
      start = [ range.earliest, range.latest, (range.earliest + range.latest) / 10 * 5 ].sample(random: random)
      check_pin(plan, key, start, seed)
    end
  end

  def check_pin(plan, key, start, seed)
    _, id, coat = key.split("/")
    pinned = plan.with_schedule(
      "top",
      Rhexon::Schedule::Edit.apply(
        plan.piece("top").schedule,
        { "op" => "pin", "id" => id, "coat" => coat.to_i, "start" => plan.shop.zone.iso(start) }
      )
    )
    found = pinned.placements.find { |placement| placement.pass.key == key }
    refute_includes %w[too_soon over], found.window&.state, "seed #{seed} #{key}"
    assert_operator pinned.build.ready["top"], :<=, [ plan.piece("top").due, plan.build.ready["top"] ].max,
                    "seed #{seed} #{key}"
  end
end
