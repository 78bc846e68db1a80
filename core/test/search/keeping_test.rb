require "test_helper"
require "planning/plan_checker"
require "planning/random_shops"

# The plan that is kept: it stands by itself, and what happens moves no more than it must.
class KeepingTest < CoreTest
  include RandomShops

  Planner = Rhexon::Search::Planner
  Shop = Rhexon::Planning::Shop
  Start = Rhexon::Planning::Start

  # Imke works from 07:30; sanding takes half an hour for 25/7.5 m² (15 min a pass of two grits, by machine).
  def sanded(id, **fields)
    piece(document(step("s1", "sand", grits: %w[P180], machine: true)), id: id, area_m2: 25 / 7.5, **fields)
  end

  def test_nothing_moves_in_shops_of_all_kinds_where_nothing_happened
    TestShare.of(name, 200).each do |seed|
      json = random_trouble(Random.new(70_000 + seed))
      was = Planner.plan(Shop.new(json))
      again = Planner.plan(Shop.new(kept(json, was)))
      assert_equal told(was), told(again), "seed #{seed}"
    end
  end

  # Late starts, late ends, somebody away, shorter days: legal by arithmetic of its own. In 970 whoever watches a pot
  # is away, and the others have a break in between.
  def test_what_happens_leaves_every_plan_sound
    [ *TestShare.of(name, 1000), 970 ].uniq.each do |seed|
      random = Random.new(90_000 + seed)
      json = random_trouble(Random.new(70_000 + seed))
      was = Planner.plan(Shop.new(json))
      first = was.placements.select { |one| one.status == "planned" && one.hands.any? }.min_by(&:hands_start) or next
      changed = kept(json, was).merge(happening(random, json, was, first))
      assert_empty PlanChecker.new(changed, report(Planner.plan(Shop.new(changed)))).faults, "seed #{seed}"
    end
  end

  # a at 07:30, b at 08:00, c at 08:30: at 07:45 nobody has begun. All begin a quarter of an hour later, in their order.
  def test_a_late_morning_pushes_the_day_on_instead_of_sorting_it_anew
    was = plan(sanded("a"), sanded("b"), sanded("c"))
    assert_equal [ [ "a", 0 ], [ "b", 30 ], [ "c", 60 ] ], order(was)
    late = Planner.plan(Shop.new(kept_of(was).merge("now" => "2026-11-23T07:45+01:00")))
    assert_equal [ [ "a", 15 ], [ "b", 45 ], [ "c", 75 ] ], order(late)
  end

  # What is begun as planned is applied by the end of its work, tools are cleaned after it: the next coat of its piece
  # waits for the film as planned, and nothing else moves.
  def test_a_start_on_time_moves_nothing
    was = plan(piece(document(coat("s1", coats: 2)), id: "a"), piece(document(coat("s1", coats: 2)), id: "b"))
    first = was.placements.first
    assert_operator first.pass.cleanup_min, :>, 0
    started = [ { "pass" => first.pass.key, "kind" => "started", "at" => "2026-11-23T07:30+01:00",
"person" => "imke" } ]
    now = Planner.plan(Shop.new(kept_of(was).merge("log" => started)))
    assert_equal times(was, "a"), times(now, "a")
    assert_equal times(was, "b"), times(now, "b")
    assert_equal first.work_end, now.of_piece("a").first.work_end
  end

  # With three hours between a and c there is room for the late one: c does not move.
  def test_what_has_slack_does_not_move
    pin = { "pass" => "c/s1/1/show", "start" => "2026-11-23T11:00+01:00" }
    was = plan(sanded("a"), sanded("c"), pins: [ pin ])
    late = Planner.plan(Shop.new(kept_of(was).except("pins").merge("now" => "2026-11-23T07:45+01:00")))
    assert_equal [ [ "a", 15 ], [ "c", 210 ] ], order(late)
  end

  # An edit of b's second step: its first stands, the others stand, and what was changed is placed anew.
  def test_an_edit_places_anew_from_the_step_that_was_changed
    a = piece(document(coat("s1", coats: 2)), id: "a")
    b = piece(document(step("s1", "sand", grits: [ "P180" ]), coat("s2", wet_um: 100)), id: "b")
    was = plan(a, b)
    thinner = b.merge("schedule" => document(step("s1", "sand", grits: [ "P180" ]), coat("s2", wet_um: 60)))
    now = Planner.plan(Shop.new(kept_of(was).merge("pieces" => [ a, thinner ])))
    assert_equal times(was, "a"), times(now, "a")
    assert_equal times(was, "b").first, times(now, "b").first
    assert_equal 60, now.of_piece("b").last.pass.wet_um
  end

  # Without its sanding the coat need not wait: it comes where the sanding stood, though it was kept later.
  def test_what_came_before_is_gone_and_the_rest_is_placed_anew
    whole = piece(document(step("s1", "sand", grits: [ "P180" ]), coat("s2")), id: "a")
    was = plan(whole)
    now = Planner.plan(Shop.new(kept_of(was).merge("pieces" => [ whole.merge("schedule" => document(coat("s2"))) ])))
    assert_equal times(was, "a").first, times(now, "a").first
  end

  def test_a_new_piece_goes_between_what_stands
    was = plan(sanded("a"), sanded("b"))
    now = Planner.plan(Shop.new(kept_of(was).merge("pieces" => [ sanded("a"), sanded("b"), sanded("c") ])))
    assert_equal [ [ "a", 0 ], [ "b", 30 ], [ "c", 60 ] ], order(now)
  end

  # Osei is away: what was his goes to Imke, behind what she has.
  def test_somebody_is_away_and_only_their_work_moves
    two = %w[imke osei].map { |id| { "id" => id, "week" => WEEK } }
    was = plan(sanded("a"), sanded("b"), people: two)
    assert_equal %w[imke osei], was.placements.map(&:person).sort
    away = kept_of(was).merge("people" => [ two[0], two[1].merge("away" => true) ])
    now = Planner.plan(Shop.new(away))
    mine = was.placements.find { |one| one.person == "imke" }.pass.key
    assert_equal [ 0, "imke" ], [ minutes(now, mine), now.build.by_index.find { |one| one.pass.key == mine }.person ]
    assert_equal [ "imke" ], now.placements.map(&:person).uniq
  end

  # b is marked urgent: it goes first and a makes room; where it stands, it stays.
  def test_what_becomes_urgent_goes_before_what_stands
    was = plan(sanded("a"), sanded("b"), sanded("c"))
    urgent = kept_of(was).merge("pieces" => [ sanded("a"), sanded("b", priority: "urgent"), sanded("c") ])
    now = Planner.plan(Shop.new(urgent))
    assert_equal [ [ "b", 0 ], [ "a", 30 ], [ "c", 60 ] ], order(now)
    assert_equal told(now), told(Planner.plan(Shop.new(kept(urgent, now))))
  end

  private

  def kept(json, plan) = json.merge("previous" => Start.of(plan), "effort" => "kept")
  def kept_of(plan) = kept(JSON.parse(JSON.generate(plan.shop.instance_variable_get(:@json))), plan)

  def told(plan)
    plan.placements.map do |one|
      [ one.pass.key, one.hands, one.person, one.tool, one.because, one.status ]
    end
  end

  def order(plan) = plan.placements.map { |one| [ one.pass.piece.id, one.hands_start - at("2026-11-23T07:30+01:00") ] }
  def times(plan, piece) = plan.of_piece(piece).map(&:hands_start)

  def minutes(plan, key)
    plan.placements.find { |one| one.pass.key == key }.hands_start - at("2026-11-23T07:30+01:00")
  end

  def happening(random, json, plan, first)
    zone = plan.shop.zone
    at = first.hands_start + random.rand(0..60)
    log = ->(*kinds) {
      json["log"].to_a + kinds.map { |kind, minute|
        { "pass" => first.pass.key, "kind" => kind, "at" => zone.iso(minute), "person" => first.person }
      }
    }
    done = at + first.pass.hands_min + random.rand(0..40)
    [
      { "now" => zone.iso(first.hands_start + random.rand(5..200)) },
      { "now" => zone.iso(at + 5), "log" => log.([ "started", at ]) },
      { "now" => zone.iso(done + 5), "log" => log.([ "started", at ], [ "done", done ]) },
      { "people" => [ json["people"][0], *json["people"].drop(1).map { |one| one.merge("away" => true) } ] },
      { "people" => json["people"].map { |one|
        one.merge("week" => one["week"].transform_values { |day|
                              day.first(1)
                            })
      } }
    ].sample(random: random)
  end
end
