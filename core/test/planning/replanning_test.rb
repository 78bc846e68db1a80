require "test_helper"
require "planning/plan_checker"
require "planning/random_shops"

# A bench that works by the plan, with its delays and skipped days: every replanning keeps what is done and every promise.
class ReplanningTest < CoreTest
  include RandomShops

  MOST_DAYS = 60

  def test_the_past_is_kept_whatever_happens_at_the_bench
    25.times do |seed|
      random = Random.new(1000 + seed)
      shop = random_shop(random)
      last = work_through(shop, random)
      next if last["infeasible"]

      assert_empty last["passes"].reject { |pass| pass["status"] == "done" || pass["kind"] == "wait" }.map { |pass| pass["key"] }, "seed #{seed}: all work gets done"
    end
  end

  # Plans, does what the next hours hold, and plans again, until nothing is left.
  def work_through(shop, random)
    plan = nil
    MOST_DAYS.times do
      plan = checked_plan(shop)
      left = plan["passes"].select { |pass| pass["status"] == "planned" && pass["hands"].any? }
      return plan if left.empty? || plan["infeasible"]

      first = left.min_by { |pass| pass["hands_start"] }
      shop = do_until(shop, plan, at(first["hands_start"]) + random.rand(60..500), random)
    end
    checked_plan(shop)
  end

  def checked_plan(shop)
    plan = Rhexon::Planning::Planner.plan(Rhexon::Planning::Shop.new(shop)).to_h
    assert_empty PlanChecker.new(shop, plan).faults
    done = plan["passes"].select { |pass| pass["status"] == "done" && pass["hands"].any? }.to_h { |pass| [ pass["key"], pass["work_end"] ] }
    (shop["log"] || []).select { |entry| entry["kind"] == "done" }.each { |entry| assert_equal at(entry["at"]), at(done.fetch(entry["pass"])), "the log is the past" }
    plan
  end

  def do_until(shop, plan, minute, random)
    worked = plan["passes"].select { |pass| pass["status"] == "planned" && pass["hands"].any? && at(pass["hands_end"]) <= minute }.sort_by { |pass| pass["hands_start"] }
    log = (shop["log"] || []) + worked.flat_map { |pass| entries(pass, random, minute) }
    shop.merge("log" => log, "now" => zone_iso(minute))
  end

  def entries(pass, random, minute)
    started = at(pass["hands_start"]) + random.rand(0..2)
    done = [ [ at(pass["hands_end"]) + random.rand(-1..1), started + 1 ].max, minute ].min
    [ { "kind" => "started", "pass" => pass["key"], "at" => zone_iso(started) }, { "kind" => "done", "pass" => pass["key"], "at" => zone_iso(done) } ]
  end

  def zone_iso(minute) = (@zone ||= Rhexon::Planning::Zone.new("Europe/Berlin")).iso(minute)
end
