require "test_helper"
require "planning/plan_checker"

# What is mixed when: one batch for the coats of a day, several for a long pass.
class BatchesTest < CoreTest
  TWO_PART = { "id" => "clear", "name" => "Clear", "class" => "waterborne_two_part", "pot_life_min" => 240,
               "density_g_per_ml" => 1.04,
               "mix" => [
                 { "product" => "hard", "parts" => 10, "role" => "hardener", "range" => [ 8, 12 ] }
               ], "thinner" => "water", "thinning_range_percent" => [ 0, 10 ] }.freeze
  HARDENER = { "id" => "hard", "name" => "Hard", "class" => "hardener", "density_g_per_ml" => 1.12 }.freeze
  WATER = {
    "id" => "water", "name" => "Water", "class" => "thinner", "carrier" => "water", "density_g_per_ml" => 1.0
  }.freeze

  def shop(*steps, count: 1, area_m2: 1.0, product: {}, **fields)
    plan(piece(document(*steps), count: count, area_m2: area_m2),
         products: PRODUCTS + [ TWO_PART.merge(product), HARDENER, WATER ], **fields)
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
    assert_equal [ 1, 1 ],
                 shop(clear(coats: 2), t_c: 30, product: { "milestones_min" => { "recoat_opens" => 150 } })
                   .batches
                   .map { |batch| batch.passes.size }
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
    json = report(shop(clear(coats: 2)))
    assert_equal "b1", json["passes"].first["batch"]
    assert_equal json["passes"].map { |pass| pass["key"] }, json["batches"].first["passes"]
    assert_empty PlanChecker.new(
      shop_json(piece(document(clear(coats: 2))), products: PRODUCTS + [ TWO_PART, HARDENER, WATER ]), json
    ).faults
  end

  # One product in two pieces on one morning comes from one pot; another room, another share, another day do not.
  def test_what_may_come_from_one_pot
    pots = lambda do |*pieces, **more|
      plan(
        *pieces, products: PRODUCTS + [ TWO_PART, HARDENER, WATER ],
                 rooms: [
                   { "id" => "bench", "climate" => [ { "t_c" => 20, "rh" => 50 } ] },
                   { "id" => "loft", "climate" => [ { "t_c" => 20, "rh" => 50 } ] }
                 ],
                 **more
      ).batches
    end
    two = pots.(piece(document(clear)), piece(document(clear), id: "other"))
    assert_equal [ %w[other top] ], two.map { |batch| batch.passes.map { |key| key.split("/").first }.sort }
    assert_equal 2, pots.(piece(document(clear)), piece(document(clear(room: "loft")), id: "other")).size
    assert_equal 2, pots.(piece(document(clear)), piece(document(clear(hardener_parts: 9)), id: "other")).size
    assert_equal 2,
                 pots.(piece(document(clear)),
                       piece(document(clear), id: "other", release: "2026-11-24T07:30+01:00")).size
  end

  # 12 m² at 40 m²/h are 18 min, at 25 m²/h 29; 2 to take it up.
  def test_the_gun_decides_pace_and_loss
    work = ->(**more) {
      shop(clear(**more), area_m2: 12.0).placements.first.then { |placed|
        placed.work_end - placed.work_start
      }
    }
    assert_equal [ 31, 20, 11 ], [ work.call, work.call(gun: "conventional"), work.call(gun: "airless") ]
    amount = ->(**more) { shop(clear(**more), area_m2: 12.0).batches.first.ml }
    assert_in_delta (1200 / 0.40 + 60) * 1.1, amount.call(gun: "conventional"), 1e-6
    assert_in_delta (1200 / 0.42 + 60) * 1.1, amount.call(narrow: true), 1e-6
  end

  # Of 192 usable minutes the coat takes 10 and 3: what is in the pot would last 192 / 13 as far.
  def test_how_much_could_be_laid_on_before_the_pot_sets
    batch = shop(clear).batches.first
    assert_in_delta batch.sheet.total_g * 192 / (batch.used_until - batch.mixed_at), batch.usable_g, 1e-6
    assert_nil shop(coat("s1", product: "lacquer")).batches.first.usable_g
  end
end
