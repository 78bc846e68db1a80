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
    assert_equal [ "An hour longer each day" ], report(long)["infeasible"]["changes"].map { |change| change["change"] }
  end

  def test_fans_help_only_while_the_carrier_leaves
    fans = of(varnished)["Fans on in the bench"]
    assert_operator fans.gain_min, :>, 0
    assert_nil of(
      plan(piece(document(step("s1", "sand", grits: %w[P150])), use: "show"), rooms: ROOMS)
    )["Fans on in the bench"]
  end
end
