require "test_helper"

class WhatIfTest < CoreTest
  ROOMS = [
    { "id" => "bench", "climate" => [ { "t_c" => 16, "rh" => 65, "air" => "still" } ] },
    { "id" => "loft", "climate" => [ { "t_c" => 24, "rh" => 45 } ] }
  ].freeze

  def varnished(**fields)
    plan(
      piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 3), room: "bench"),
            use: "show"),
      rooms: ROOMS, **fields
    )
  end

  def of(plan) = Rhexon::Compare::WhatIf.for(plan, "top").to_h { |answer| [ answer.label, answer ] }

  def test_each_answer_is_what_a_new_plan_says
    now = varnished
    answers = of(now)
    warmer = answers.fetch("2 °C warmer in the bench")
    assert_operator warmer.gain_min, :>, 0
    assert_equal now.build.ready["top"] - warmer.gain_min, warmer.ready_at
    # The same water in air 2 °C warmer: 65 % · es(16) / es(18) = 57.3 %.
    again = varnished.shop
      .with_rooms("bench" => { "climate" => [ { "t_c" => 18, "rh" => 65 * 1.8188 / 2.0647, "air" => "still" } ] })
    assert_in_delta Rhexon::Search::Planner.plan(again).build.ready["top"], warmer.ready_at, 5
    assert(answers.keys.any? { |label| label.start_with?("Work and dry in the loft") })
    assert(answers.keys.any? { |label| label.start_with?("One coat less") })
  end

  def test_a_change_of_the_schedule_can_be_applied_and_keeps_its_word
    now = varnished
    of(now).each_value.select(&:operation).each do |answer|
      after = now.with_schedule("top", Rhexon::Schedule::Edit.apply(now.piece("top").schedule, answer.operation))
      assert_equal answer.ready_at, after.build.ready["top"], answer.label
    end
  end

  def test_what_dries_already_dried_in_the_air_that_was
    log = [
      { "kind" => "started", "pass" => "top/s1/1/show", "at" => "2026-11-22T09:00+01:00" },
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-22T09:30+01:00" }
    ]
    done = plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85), room: "bench")),
                rooms: ROOMS, now: "2026-11-22T20:00+01:00", log: log)
    assert_empty Rhexon::Compare::WhatIf.for(done, "top"), "nothing is planned any more"
    shop = done.shop
    line = Rhexon::Drying::ClimateTimeline.read(
      {
        "id" => "bench",
        **Rhexon::Compare::WhatIf.new(done, "top").send(:otherwise, shop.line("bench"),
                                                        Rhexon::Compare::WhatIf.new(done, "top").method(:warmer))
      },
      shop.zone
    )
    assert_equal [ 16, 18 ], [ line.at(shop.now - 60), line.at(shop.now + 60) ].map(&:t_c)
  end

  def test_longer_hours_and_a_saturday_help_where_hands_are_short
    busy = plan(piece(document(step("s1", "sand", grits: %w[P150 P180])), area_m2: 5.0, count: 60),
                now: "2026-11-23T07:30+01:00")
    answers = of(busy)
    assert_operator answers.fetch("An hour longer each day").gain_min, :>, 0
    assert_operator answers.fetch("Saturdays 08:00 to 12:00").gain_min, :>, 0
  end

  def test_what_cannot_be_planned_says_which_changes_would_do
    frozen = plan(
      piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2))),
      rooms: [
        { "id" => "bench", "climate" => [ { "t_c" => 4, "rh" => 60 } ] },
        { "id" => "loft", "climate" => [ { "t_c" => 18, "rh" => 50 } ] }
      ]
    )
    infeasible = report(frozen)["infeasible"]
    assert_equal "milestone", infeasible["constraint"]
    assert_includes infeasible["changes"].map { |change| change["change"] }.join(" | "), "2 °C warmer in the bench"
    infeasible["changes"].each { |change| assert_operator at(change["ready_at"]), :>, frozen.shop.now }
    # 8 h 30 of work in one piece fit no open hours of 8 h; an hour more would.
    long = plan(piece(document(coat("s1", product: "seal", method: "brush", wet_um: 70)), area_m2: 56.0),
                week: WEEK.transform_values { [ [ "08:00", "16:00" ] ] })
    assert_equal "hours", report(long).dig("infeasible", "constraint")
    assert_equal [ "An hour longer each day", "Have Dewaxed shellac wiped", "Have Dewaxed shellac padded" ],
                 report(long)["infeasible"]["changes"].map { |change| change["change"] }
  end

  def test_fans_help_only_while_the_carrier_leaves
    fans = of(varnished)["Fans on in the bench"]
    assert_operator fans.gain_min, :>, 0
    assert_nil of(
      plan(piece(document(step("s1", "sand", grits: %w[P150])), use: "show"), rooms: ROOMS)
    )["Fans on in the bench"]
  end

  # Due on the day that the middle of the plans gives: about every other run is late, and each way says what it would
  # make of that, the best first.
  def test_with_a_due_date_each_says_the_chance_that_it_gives
    ready = varnished.build.ready["top"]
    due = varnished.shop.zone.iso(ready + 60)
    tight = plan(
      piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 3), room: "bench"),
            use: "show", due: due),
      piece(document(step("s1", "sand", grits: %w[P120 P180])), id: "other", area_m2: 20.0), rooms: ROOMS
    )
    now = Rhexon::Chance::Outlook.new(tight, runs: 100).share_by("top", tight.piece("top").due)
    answers = Rhexon::Compare::WhatIf.for(tight, "top")
    assert_operator now, :<, 0.8
    assert_operator answers.first.chance, :>, now
    assert_equal answers.map(&:chance), answers.map(&:chance).sort.reverse
    assert_empty answers.reject { |answer| answer.chance.between?(0, 1) }
    assert_empty Rhexon::Compare::WhatIf.for(varnished, "top").filter_map(&:chance), "nothing is due"
  end

  def test_order_and_hands_are_tried_too
    two = plan(piece(document(coat("s1")), area_m2: 1.0),
               piece(document(step("s1", "sand", grits: %w[P120 P180])), id: "other", area_m2: 20.0,
due: "2026-11-23T12:00+01:00"))
    kinds = Rhexon::Compare::WhatIf.for(two, "top").map(&:kind)
    assert_empty kinds - %w[first second warmer drier fans longer saturday change]
  end
end
