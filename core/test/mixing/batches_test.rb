require "test_helper"
require "planning/plan_checker"

# What is mixed when: one batch for the coats of a day, several for a long pass.
class BatchesTest < CoreTest
  TWO_PART = { "id" => "clear", "name" => "Clear", "class" => "waterborne_two_part", "pot_life_min" => 240, "density_g_per_ml" => 1.04,
               "mix" => [ { "product" => "hard", "parts" => 10, "role" => "hardener", "range" => [ 8, 12 ] } ], "thinner" => "water", "thinning_range_percent" => [ 0, 10 ] }.freeze
  HARDENER = { "id" => "hard", "name" => "Hard", "class" => "hardener", "density_g_per_ml" => 1.12 }.freeze
  WATER = { "id" => "water", "name" => "Water", "class" => "thinner", "carrier" => "water", "density_g_per_ml" => 1.0 }.freeze

  def shop(*steps, count: 1, area_m2: 1.0, product: {}, **fields)
    plan(piece(document(*steps), count: count, area_m2: area_m2), products: PRODUCTS + [ TWO_PART.merge(product), HARDENER, WATER ], **fields)
  end

  def clear(id = "s1", **fields) = coat(id, product: "clear", **fields)

  # 240 min at 20 °C, 192 counted on; the second coat opens 90 min after the first and is done inside them.
  def test_one_batch_serves_the_coats_of_a_day_that_fit_its_pot_life
    batches = shop(clear(coats: 2)).batches
    assert_equal 1, batches.size
    assert_equal 2, batches.first.passes.size
    assert_equal 192, batches.first.usable_until - batches.first.mixed_at
    refute_predicate batches.first, :short?
  end

  def test_a_coat_past_the_pot_life_gets_a_batch_of_its_own
    batches = shop(clear(coats: 3)).batches
    assert_equal [ 2, 1 ], batches.map { |batch| batch.passes.size }
  end

  def test_warmth_shortens_the_series
    assert_equal [ 1, 1 ], shop(clear(coats: 2), t_c: 30, product: { "milestones_min" => { "recoat_opens" => 150 } }).batches.map { |batch| batch.passes.size }
  end

  # 8 pieces of 12 m² at 25 m²/h take 3 h 51 and 10 min of set-up; 192 min are usable.
  def test_a_pass_that_outlasts_its_pot_is_short_and_splitting_it_is_not
    long = shop(clear, count: 8, area_m2: 12.0)
    assert_predicate long.batches.first, :short?
    split = shop(clear(batches: 2), count: 8, area_m2: 12.0).batches
    assert_equal [ false, false ], split.map(&:short?)
    assert_in_delta long.batches.first.ml, split.sum(&:ml), 1e-6
    assert_operator split[1].mixed_at, :>=, split[0].used_until - 1
  end

  def test_the_mix_holds_hardener_and_thinner
    sheet = shop(clear(thinning: { "percent" => 5, "of" => "base" })).batches.first.sheet
    assert_equal [ "Clear", "Hard", "Water" ], sheet.pours.map(&:name)
    base, hardener, water = sheet.pours
    assert_in_delta 0.10, hardener.ml / base.ml, 1e-9
    assert_in_delta 0.05, water.ml / base.ml, 1e-9
  end

  def test_the_plan_tells_its_batches
    json = shop(clear(coats: 2)).to_h
    assert_equal "b1", json["passes"].first["batch"]
    assert_equal json["passes"].map { |pass| pass["key"] }, json["batches"].first["passes"]
    assert_empty PlanChecker.new(shop_json(piece(document(clear(coats: 2))), products: PRODUCTS + [ TWO_PART, HARDENER, WATER ]), json).faults
  end
end
