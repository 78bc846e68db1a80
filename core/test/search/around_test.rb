require "test_helper"
require "planning/plan_checker"
require "planning/random_shops"

# The first answer to an edit: one piece anew, the others where they stand.
class AroundTest < CoreTest
  include RandomShops

  Planner = Rhexon::Search::Planner
  Shop = Rhexon::Planning::Shop

  # Piece a is laid at 07:30, b right after it. With a second coat b is the longer one and would go first; here a stays,
  # and b's first coat too: only its second is new.
  def test_the_others_stay_and_the_edited_piece_is_placed_anew
    a, b = %w[a b].map { |id| piece(document(coat("s1")), id: id) }
    before = plan(a, b)
    edited = b.merge("schedule" => document(coat("s1", coats: 2)))
    around = Planner.around(before, edited)
    assert_equal starts(before, "a"), starts(around, "a")
    assert_equal starts(before, "b"), starts(around, "b").first(1)
    assert_equal 2, around.of_piece("b").size
    whole = plan(a, edited)
    assert_operator starts(whole, "b").first, :<, starts(around, "b").first
    assert_equal whole.shop.digest, around.shop.digest
  end

  def test_a_pin_where_others_stand_asks_for_the_whole_plan
    a, b = %w[a b].map { |id| piece(document(coat("s1")), id: id) }
    pinned = b.merge("schedule" => Rhexon::Schedule::Edit.apply(
      b["schedule"], { "op" => "pin", "id" => "s1", "coat" => 1, "start" => "2026-11-23T07:30+01:00" }
    ))
    assert_nil Planner.around(plan(a, b), pinned)
  end

  def test_a_record_that_is_not_sound_is_refused
    assert_raises(Rhexon::InvalidInput) do
      Planner.around(plan(piece(document(coat("s1")))), piece(document(coat("s1", product: "unheard of"))))
    end
  end

  # In shops of all kinds: legal, the others exactly where they stood, and the shop that was changed in one piece is the
  # shop that is read whole.
  def test_random_edits_in_random_shops_are_legal
    answered = 0
    seeds = TestShare.of(name, 60)
    seeds.each do |seed|
      random = Random.new(70_000 + seed)
      json = random_trouble(random)
      standing = Planner.plan(Shop.new(json))
      record = edited(random, json["pieces"].sample(random: random))
      changed = json.merge("pieces" => json["pieces"].map { |one| one["id"] == record["id"] ? record : one })
      assert_equal report(Planner.plan(Shop.new(changed))), report(Planner.plan(standing.shop.with_piece(record)))
      around = Planner.around(standing, record) or next
      answered += 1
      assert_empty PlanChecker.new(changed, report(around)).faults, "seed #{seed}"
      assert_equal others(standing, record["id"]), others(around, record["id"]), "seed #{seed}"
    end
    assert_operator answered, :>, seeds.size / 2 if TestShare.full?
  end

  private

  def starts(plan, piece) = plan.of_piece(piece).map(&:hands_start)

  def others(plan, piece)
    plan.placements.reject { |placement| placement.pass.piece.id == piece }.map do |placement|
      [ placement.pass.key, placement.hands, placement.person, placement.tool, placement.because, placement.status ]
    end
  end

  # A coat more, or another film.
  def edited(random, record)
    steps = record["schedule"]["steps"].map do |step|
      next step unless step["kind"] == "coat"

      change = [ { "coats" => (step["coats"] || 1) + 1 }, { "wet_um" => random.rand(50..120) } ].sample(random: random)
      step.merge(change)
    end
    record.merge("schedule" => record["schedule"].merge("steps" => steps))
  end
end
