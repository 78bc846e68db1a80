require "test_helper"

# How fast the shop's own hands are, and what plans make of it.
class PaceTest < CoreTest
  Learning = Rhexon::Planning::PaceLearning
  STEPS = [ { "id" => "s1", "kind" => "sand", "grits" => [ "P180" ], "machine" => true } ].freeze

  # A square metre of one grit by machine is reckoned with 7.5 min and 2 of handling: 10, and 3 to set up.
  def shop(*minutes, person: "imke", pace: [])
    pieces = minutes.each_index.map { |index| piece(document(*STEPS), id: "p#{index}") }
    log = minutes.each_with_index.flat_map do |took, index|
      from = at("2026-11-23T07:30+01:00") + 60 * index
      [ [ "started", from ], [ "done", from + took ] ].map do |kind, minute|
        { "kind" => kind, "pass" => "p#{index}/s1/1/show", "at" => Rhexon::Zone.new("Europe/Berlin").iso(minute),
          "person" => person }
      end
    end
    Rhexon::Planning::Shop.new(shop_json(*pieces, log: log, now: "2026-11-23T16:00+01:00", pace: pace))
  end

  # ln(20/10) = 0.6931 believed from m 0, s 0.35 with 0.25: m = 0.6931 · 16 / (8.163 + 16) = 0.4590.
  def test_one_work_that_took_twice_as_long
    taught = Learning.taught(Learning.observations(shop(23)))
    assert_equal [ [ "sand", nil, 1 ], [ "sand", "imke", 1 ] ],
                 taught.map { |record| record.values_at("work", "person", "times") }
    assert_in_delta 0.4590, taught.first["m"], 1e-3
    assert_in_delta 20, Learning.observations(shop(23)).first.m2_min, 1e-9
  end

  def test_what_was_begun_in_the_log_at_another_moment_teaches_nothing
    assert_empty Learning.observations(shop(0))
    assert_empty Learning.observations(shop(11 * 60)).select { |one| one.x > Math.log(10) }
    assert_empty Learning.observations(Rhexon::Planning::Shop.new(shop_json(piece(document(*STEPS)))))
  end

  # Wiping off belongs to its stain: the log of both teaches the stain alone.
  def test_what_the_plan_puts_in_for_a_step_teaches_no_pace_of_its_own
    stain = step("s1", "stain", product: "umber", method: "wipe", wipe_off: true)
    log = [ %w[s1/1/show 08:00 08:20], %w[s1/1/show/wipe 08:25 08:40] ].flat_map do |pass, *times|
      %w[started done].zip(times).map do |kind, time|
        { "kind" => kind, "pass" => "top/#{pass}", "at" => "2026-11-23T#{time}+01:00", "person" => "imke" }
      end
    end
    shop = Rhexon::Planning::Shop.new(shop_json(piece(document(stain), area_m2: 0.6), log: log,
now: "2026-11-23T16:00+01:00"))
    wiped = Rhexon::Planning::ActualWork.of(shop).all.select { |one| one.status == "done" }
    assert_equal %w[stain wipe_off], wiped.map { |one| one.pass.kind }
    assert_equal %w[stain/wipe], Learning.observations(shop).map(&:work)
  end

  # Sanding that takes half as long again: 10 min are 15 in the plan (14.25 begun), and what is learned stays the same
  # on top of it.
  def test_plans_reckon_with_it_and_it_is_not_counted_twice
    slow = [ { "work" => "sand", "person" => nil, "m" => Math.log(1.5), "s" => 0.1, "times" => 9 } ]
    made = plan(piece(document(*STEPS)), pace: slow)
    assert_equal [ 18, 13 ], [ made, plan(piece(document(*STEPS))) ].map { |one| one.hands_min("top") }
    assert_in_delta Learning.observations(shop(23)).first.x, Learning.observations(shop(23, pace: slow)).first.x, 1e-9
    assert_equal 13, plan(piece(document(*STEPS)), pace: [ slow.first.merge("person" => "imke") ]).hands_min("top")
  end

  # Forty works of hands that are 1.3 times as slow and vary by 0.2: within five of a hundred.
  def test_forty_works_find_the_true_pace
    random = Random.new(7)
    observed = 40.times.map do |index|
      x = Math.log(1.3) + 0.2 * Rhexon::Statistics::Normal.draw(random)
      Learning::Observation.new(work: "sand", person: nil, x: x, m2_min: 1.0, at: index)
    end
    assert_in_delta 1.3, Math.exp(Learning.taught(observed).first["m"]), 0.065
  end
end
