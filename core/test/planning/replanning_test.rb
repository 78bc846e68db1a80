require "test_helper"
require "planning/plan_checker"
require "planning/random_shops"

# A bench that works by the plan, with its delays and skipped days: every replanning keeps what is done and every
# promise.
class ReplanningTest < CoreTest
  include RandomShops

  MOST_DAYS = 60

  def test_the_past_is_kept_whatever_happens_at_the_bench
    TestShare.of(name, 25, most_parts: 5).each do |seed|
      random = Random.new(1000 + seed)
      shop = random_shop(random)
      last = work_through(shop, random)
      next if last["infeasible"]

      assert_empty last["passes"]
        .reject { |pass| pass["status"] == "done" || pass["kind"] == "wait" }
        .map { |pass| pass["key"] },
                   "seed #{seed}: all work gets done"
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
      until_minute = [ at(first["hands_start"]) + random.rand(60..500), at(first["hands_end"]) ].max
      shop = do_until(shop, plan, until_minute, random)
    end
    checked_plan(shop)
  end

  def checked_plan(shop)
    plan = report(Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop)))
    assert_empty PlanChecker.new(shop, plan).faults
    done = plan["passes"]
      .select { |pass| pass["status"] == "done" && pass["hands"].any? }
      .to_h { |pass| [ pass["key"], pass["work_end"] ] }
    (shop["log"] || []).select { |entry| entry["kind"] == "done" }.each do |entry|
      assert_equal at(entry["at"]), at(done.fetch(entry["pass"])), "the log is the past"
    end
    plan
  end

  def do_until(shop, plan, minute, random)
    worked = plan["passes"]
      .select { |pass| pass["status"] == "planned" && pass["hands"].any? && at(pass["hands_end"]) <= minute }
      .sort_by { |pass| pass["hands_start"] }
    log = (shop["log"] || []) + worked.flat_map { |pass| entries(pass, random, minute) }
    shop.merge("log" => log, "now" => zone_iso(minute))
  end

  def entries(pass, random, minute)
    started = at(pass["hands_start"]) + random.rand(0..2)
    done = [ [ at(pass["hands_end"]) + random.rand(-1..1), started + 1 ].max, minute ].min
    [
      { "kind" => "started", "pass" => pass["key"], "at" => zone_iso(started) },
      { "kind" => "done", "pass" => pass["key"], "at" => zone_iso(done) }
    ]
  end

  def zone_iso(minute) = (@zone ||= Rhexon::Zone.new("Europe/Berlin")).iso(minute)

  # Scuffed on Saturday for Monday: more than 24 h old by then, so it is scuffed again, under a key of its own, and
  # what was done stays in the picture.
  def test_a_scuff_that_grew_too_old_is_done_again_under_a_key_of_its_own
    document = document(coat("s1", coats: 2))
    key = "top/s1/2/show/scuff"
    log = [
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-20T10:00+01:00" },
      { "kind" => "started", "pass" => key, "at" => "2026-11-21T09:00+01:00" },
      { "kind" => "done", "pass" => key, "at" => "2026-11-21T09:10+01:00" }
    ]
    made = plan(piece(document), log: log)
    assert_equal [ [ key, "done" ], [ "#{key}2", "planned" ] ],
                 made.build.scuffs.map { |scuff| [ scuff.pass.key, scuff.status ] }
    assert_equal made.placements.map { |placement| placement.pass.key }.uniq.size, made.placements.size
    coat = placement(made, "s1/2")
    assert_equal "scuffed", coat.window.state
    assert_operator made.build.scuffs.last.hands_end, :<=, coat.work_start
    slab = Rhexon::Picture::Bench.new(made).drying.first
    assert_equal "#{key}2", slab.next_row.key
    begun = plan(piece(document),
                 log: log + [ { "kind" => "done", "pass" => "#{key}2", "at" => "2026-11-23T07:30+01:00" } ],
                 now: "2026-11-23T07:40+01:00")
    assert_equal [ "done", "done" ], begun.build.scuffs.map(&:status)
    assert_equal "scuffed", placement(begun, "s1/2").window.state
  end
end
