require "test_helper"
require_relative "../good/workshop"

# What a wish begins with, what is told of it, and what a proposal leaves open.
class WantedTest < CoreTest
  include Workshop

  # A brown and a red dye with colour figures.
  DYES = [ { "id" => "brown", "name" => "Brown dye", "class" => "water_dye", "colour" => "tinted", "role" => "dye",
             "optics" => { "kind" => "dye", "bands" => [ [ 430, 45, 12.0 ], [ 535, 36, 3.0 ], [ 620, 60, 0.3 ] ] } },
           { "id" => "red", "name" => "Red dye", "class" => "water_dye", "colour" => "tinted", "role" => "dye",
             "optics" => { "kind" => "dye", "bands" => [ [ 500, 50, 4.0 ] ] } } ].freeze

  def engine(wish = {}, wood: "oak", use: "table_top", schedule: {}, shelf: products)
    own = piece(schedule, wood: "open").merge("wood" => wood, "use" => use)
    shop = Rhexon::Planning::Shop.new(shop_json(own, products: shelf))
    Rhexon::Systems::Engine.new(shop, "top", { "gear" => %w[brush wipe] }.merge(wish))
  end

  def chart(wood, shelf: products)
    shop = Rhexon::Planning::Shop.new(shop_json(piece(document, wood: "open").merge("wood" => wood), products: shelf))
    Rhexon::Systems::LookChart.new(shop, shop.pieces.first)
  end

  def test_looks_run_from_pale_to_dark_and_no_two_are_the_same
    tiles = chart("oak", shelf: products + DYES).tiles
    assert_operator tiles.size, :>=, 7
    assert_equal tiles.map { |tile| -tile.lab[0] }.sort, tiles.map { |tile| -tile.lab[0] }
    tiles.combination(2) { |one, other| assert_operator Rhexon::Colour::DeltaE.ciede2000(one.lab, other.lab), :>=, 1.5 }
    assert_equal "bare", tiles.first.words
    assert_empty chart("petrified ooze").tiles
  end

  # A varnish is warmer than a waterborne on the same wood: more b*.
  def test_a_warm_film_is_yellower_than_a_clear_one
    labs = chart("maple", shelf: products.first(1)).tiles.to_h { |tile| [ tile.words, tile.lab ] }
    warm, = labs.select { |words, _| words.match?(/varnish/) }.values
    pale = labs["bare"]
    assert_operator warm[2], :>, pale[2] + 2
  end

  def test_other_woods_are_looks_to_name
    woods = chart("oak").woods.to_h { |tile| [ tile.words, tile.lab ] }
    assert_operator woods.fetch("walnut")[0], :<, woods.fetch("maple")[0] - 20
  end

  def test_what_cannot_be_had_or_is_not_known_is_told
    assert_empty engine.answer.remarks
    assert_match(/lighter than oak/, engine({ "lab" => [ 90, 0, 10 ] }).answer.remarks.first)
    assert_match(/^Nothing is known of the colour of ooze/, engine(wood: "ooze").answer.remarks.first)
    clear = products.reject { |product| product["colour"] == "tinted" }
    assert_match(/^No stain or dye/, engine({ "lab" => [ 30, 12, 14 ] }, shelf: clear).answer.remarks.first)
    assert_empty engine({ "opaque" => true, "lab" => [ 90, 0, 10 ] }).answer.remarks
  end

  # A client wants it harder: what lies on top bears wear as it is wished, or falls out.
  def test_what_it_must_stand_up_to_counts_beside_its_use
    plain = engine({}, use: "furniture").answer
    hard = engine({ "least" => { "wear" => 5 } }, use: "furniture").answer
    assert_operator plain.proposals.map { |one| one.bears["wear"] }.min, :<, 4
    assert(hard.proposals.all? { |one| one.bears["wear"] >= 4 }, hard.proposals.map(&:bears).inspect)
    assert_operator hard.fallen.map { |one| one.reason }.count("wear"), :>, 0
    refusal { engine({ "least" => { "wear" => 6 } }) }
    refusal { engine({ "least" => { "luck" => 1 } }) }
  end

  # Varnish at 30 a litre costs more than 1; what has no price stays.
  def test_what_is_too_dear_falls_out_and_says_by_how_much
    priced = products.map do |product|
      product["id"] == "varnish" ? product.merge("packs" => [ { "ml" => 1000, "price" => 30 } ]) : product
    end
    open = engine({}, shelf: priced).answer.proposals.map(&:id)
    assert_includes open, "brushed_varnish"
    tight = engine({ "budget" => 1 }, shelf: priced).answer
    assert_match(/\A\d+ of material, \d+ too much\z/,
                 tight.fallen.find { |one| one.system.id == "brushed_varnish" }.reason)
    assert tight.proposals.any? && tight.proposals.all? { |one| one.cost.nil? || one.cost <= 1 }
    refusal { engine({ "budget" => 0 }) }
  end

  def test_the_first_few_are_told_as_they_are_made_and_the_answer_is_the_same
    early = []
    answer = engine.answer { |proposal| early << proposal.id }
    assert_equal 3, early.size
    assert_equal engine.answer.proposals.map(&:id), answer.proposals.map(&:id)
    refute_empty early & answer.proposals.map(&:id)
  end

  def test_the_chance_of_a_date_is_a_share_of_runs
    made = engine({ "due" => "2026-12-20T12:00+01:00" })
    chances = made.answer.proposals.map { |one| one.chance(made.due) }
    assert(chances.all? { |share| share.between?(0, 1) })
    assert_operator chances.max, :>, 0.9
    assert_nil engine.answer.proposals.first.chance(nil)
  end

  def factors(wish, id, **fields)
    proposals = engine(wish, **fields).answer.proposals
    proposal = proposals.find { |one| one.id == id } or flunk proposals.map(&:id).inspect
    Rhexon::Systems::Uncertain.new(proposal.plan, "top").factors
  end

  def test_two_things_that_nobody_can_be_sure_of_are_tried
    clear = factors({}, "brushed_varnish")
    assert_equal 2, clear.size
    dark = factors({ "lab" => [ 40, 12, 18 ] }, "brushed_varnish", shelf: products + DYES)
    assert_equal "strength_percent", dark.first["field"]
    low, high = dark.first["levels"]
    assert_operator low, :<, high
    oil = factors({}, "hardwax_oil", use: "furniture")
    assert_equal %w[coats last_grit], oil.map { |factor| factor["field"] }
    [ clear, dark, oil ].each { |all| assert(all.all? { |factor| factor["levels"].uniq.size == 2 }) }
  end
end
