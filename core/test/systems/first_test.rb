require "test_helper"
require_relative "../good/workshop"

# The first way for pieces that any finisher knows, and what stands in the way of some.
class FirstTest < CoreTest
  include Workshop

  PIECES = YAML.safe_load_file(File.join(__dir__, "first.yml")).freeze
  GEAR = { "hand" => %w[brush wipe pad roller], "spray" => %w[brush wipe pad roller spray] }.freeze

  def answer(asked, found = nil)
    record = piece({}, wood: asked["grain"] || "closed", area_m2: asked["area_m2"] || 1.5)
      .merge(asked.slice("wood", "use", "shape", "arris"))
    record["faces"].each { |face| face["found"] = found } if found
    shop = Rhexon::Planning::Shop.new(shop_json(record, products: products))
    wish = { "gear" => GEAR.fetch(asked["gear"]), **asked.slice("sheen", "mouths") }
    Rhexon::Systems::Engine.new(shop, "top", wish).answer
  end

  def test_the_first_way_is_what_a_knowing_finisher_takes_and_says_why
    PIECES.each do |asked|
      found = answer(asked)
      assert_includes asked["first"], found.proposals.first.id, "#{asked["name"]}: #{found.proposals.map(&:id)}"
      because = found.proposals.first.because(found.ranking.wish)
      assert_match(/\A[A-Z].*\.\z/, because, asked["name"]) unless found.proposals.first.id == "hardwax_oil"
    end
  end

  # What is renewed by hand is no reason to strip what could be coated over.
  def test_no_way_is_the_usual_one_that_takes_an_old_finish_off
    found = { "is" => "unknown", "coats" => 3, "state" => "worn" }
    old = { "wood" => "pine", "use" => "furniture", "shape" => "turned", "gear" => "hand" }
    assert_equal "rubbed_oil", answer(old).proposals.first.id
    first = answer(old, found).proposals.first
    refute_includes first.document["steps"].map { |step| step["kind"] }, "strip", first.id
  end

  # Over epoxy two coats give hardly any shade: four at the least outdoors.
  def test_epoxy_outdoors_is_varnished_four_times
    boat = answer(PIECES.find { |one| one["name"] == "Boat" })
    steps = boat.proposals.find { |one| one.id == "epoxy_and_varnish" }.document["steps"]
    assert_operator steps.last["coats"], :>=, 4
  end

  # From the can 80 GU: what is wished beyond is rubbed and glazed to, a week after the last coat.
  def test_a_gloss_beyond_the_can_is_rubbed_out
    gloss = answer("wood" => "maple", "use" => "furniture", "gear" => "spray", "sheen" => [ 88, 95 ])
    gloss.proposals.reject { |one| one.sheen_gu.between?(83, 100) }.each { |one| flunk "#{one.id} #{one.sheen_gu}" }
    rubbed = gloss.proposals.find { |one| one.document["steps"].any? { |step| step["kind"] == "rub_out" } }
    rub = rubbed.plan.of_piece("top").find { |one| one.pass.kind == "rub_out" }
    coat = rubbed.plan.of_piece("top").reverse.find { |one| one.pass.kind == "coat" }
    assert_operator rub.hands_start - coat.work_end, :>=, 3 * 1440
    assert_equal "finishing-glaze", rub.pass.step["grits"].last
  end

  def test_for_food_and_toys_only_what_may_be_wished_for_them_and_the_sheet_decides
    toy = answer(PIECES.find { |one| one["name"] == "Toy" })
    assert_empty toy.proposals.map(&:id) & %w[brushed_varnish wiping_varnish sprayed_lacquer solvent_two_part]
    assert_match(/own sheet says whether it is safe/, toy.remarks.first)
    assert_equal "not for food and toys", toy.fallen.find { |one| one.system.id == "wiping_varnish" }.reason
  end
end
