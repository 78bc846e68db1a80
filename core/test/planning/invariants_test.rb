require "test_helper"
require "timeout"
require "planning/plan_checker"
require "planning/random_shops"

# The plan's promises over many seeded random shops, checked from the JSON alone.
class InvariantsTest < CoreTest
  include RandomShops

  def shops(count, &block) = TestShare.of(name, count).each(&block)

  def test_random_shops_keep_every_promise
    scuffs = 0
    shops(150) do |seed|
      shop = random_shop(Random.new(seed))
      plan = report(Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop)))
      assert_empty PlanChecker.new(shop, plan).faults, "seed #{seed}"
      scuffs += plan["goal"]["scuffs"]
    end
    assert_operator scuffs, :>, 20, "the shops must be hard enough to miss windows" if TestShare.full?
  end

  def test_random_workshops_keep_every_promise
    seen = Hash.new(0)
    shops(150) do |seed|
      shop = random_workshop(Random.new(seed))
      plan = report(Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop)))
      assert_empty PlanChecker.new(shop, plan).faults, "seed #{seed}"
      plan["passes"].each { |pass| seen[pass["because"]] += 1; seen["watched"] += 1 if pass["watched"] }
    end
    return unless TestShare.full?

    assert_empty %w[milestone hands hours room rack dust watched].reject { |reason| seen[reason] > 5 },
                 "the shops must be hard enough to meet each reason"
  end

  # Small ones by the thousand: rare meetings of rules show in numbers.
  def test_fifteen_hundred_small_workshops_keep_every_promise
    shops(1500) do |seed|
      shop = random_workshop(Random.new(10_000 + seed), most: 2, steps: 2..4)
      plan = report(Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop)))
      assert_empty PlanChecker.new(shop, plan).faults, "seed #{10_000 + seed}"
    end
  end

  # Each within the time a planner may take at most: it never circles.
  LIMIT_S = 20

  def test_a_thousand_troubled_shops_are_answered_and_keep_every_promise
    lapsed = infeasible = 0
    shops(1000) do |seed|
      shop = random_trouble(Random.new(50_000 + seed))
      plan = Timeout.timeout(LIMIT_S) do
        made = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop))
        Rhexon::Picture::Report.new(made, changes: false).to_h
      end
      assert_empty PlanChecker.new(shop, plan).faults, "seed #{50_000 + seed}"
      lapsed += plan["lapsed_pins"].size
      infeasible += 1 if plan["infeasible"]
    end
    return unless TestShare.full?

    assert_operator infeasible, :<, 300, "most of them have a date"
    assert_operator lapsed, :>, 5
  end

  # Full effort holds coats, lets scuffs go ahead, and begins with the plan that was kept.
  def test_full_effort_over_a_kept_plan_keeps_every_promise_and_is_never_worse
    shops(24) do |seed|
      shop = random_shop(Random.new(700 + seed), most: 3)
      quick = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop))
      kept = quick.placements.select { |found| found.hands.any? }.map do |found|
        { "pass" => found.pass.key, "start" => quick.shop.zone.iso(found.hands_start), "person" => found.person }
      end
      full = shop.merge("effort" => "full", "previous" => kept)
      best = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(full))
      assert_empty PlanChecker.new(full, report(best)).faults, "seed #{700 + seed}"
      assert_operator (best.build.goal <=> quick.build.goal), :<=, 0, "seed #{700 + seed}"
    end
  end

  # The checker itself must be able to fail.
  def test_the_checker_finds_planted_faults
    shop = shop_json(piece(document(coat("s1", coats: 2))))
    plan = report(Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop)))
    second = plan["passes"].last
    early = plan.merge("passes" => [ plan["passes"].first, second.merge("work_start" => "2026-11-23T08:20+01:00") ])
    after_hours = [ [ "2026-11-23T20:00+01:00", "2026-11-23T20:28+01:00" ] ]
    night = plan.merge("passes" => [ plan["passes"].first, second.merge("hands" => after_hours) ])
    assert_match(/before its milestone/, PlanChecker.new(shop, early).faults.join)
    assert_match(/outside shop hours/, PlanChecker.new(shop, night).faults.join)
  end
end
