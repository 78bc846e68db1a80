require "test_helper"

class WhatIfTest < CoreTest
  ROOMS = [ { "id" => "bench", "climate" => [ { "t_c" => 16, "rh" => 65, "air" => "still" } ] }, { "id" => "loft", "climate" => [ { "t_c" => 24, "rh" => 45 } ] } ].freeze

  def varnished(**fields) = plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 3), room: "bench"), use: "show"), rooms: ROOMS, **fields)
  def of(plan) = Rhexon::Planning::WhatIf.of(plan, "top").to_h { |answer| [ answer.label, answer ] }

  def test_each_answer_is_what_a_new_plan_says
    now = varnished
    answers = of(now)
    warmer = answers.fetch("2 °C warmer in the bench")
    assert_operator warmer.gain_min, :>, 0
    assert_equal now.build.ready["top"] - warmer.gain_min, warmer.ready_at
    # The same water in air 2 °C warmer: 65 % · es(16) / es(18) = 57.3 %.
    again = varnished.shop.with_rooms("bench" => { "climate" => [ { "t_c" => 18, "rh" => 65 * 1.8188 / 2.0647, "air" => "still" } ] })
    assert_in_delta Rhexon::Planning::Planner.plan(again).build.ready["top"], warmer.ready_at, 5
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
    log = [ { "kind" => "started", "pass" => "top/s1/1/show", "at" => "2026-11-22T09:00+01:00" }, { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-22T09:30+01:00" } ]
    done = plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85), room: "bench")), rooms: ROOMS, now: "2026-11-22T20:00+01:00", log: log)
    assert_empty Rhexon::Planning::WhatIf.of(done, "top"), "nothing is planned any more"
    shop = done.shop
    line = Rhexon::Drying::Line.read({ "id" => "bench", **Rhexon::Planning::WhatIf.new(done, "top").send(:otherwise, shop.rooms["bench"], Rhexon::Planning::WhatIf.new(done, "top").method(:warmer)) }, shop.zone)
    assert_equal [ 16, 18 ], [ line.at(shop.now - 60), line.at(shop.now + 60) ].map(&:t_c)
  end

  def test_fans_help_only_while_the_carrier_leaves
    fans = of(varnished)["Fans on in the bench"]
    assert_operator fans.gain_min, :>, 0
    assert_nil of(plan(piece(document(step("s1", "sand", grits: %w[P150])), use: "show"), rooms: ROOMS))["Fans on in the bench"]
  end
end
