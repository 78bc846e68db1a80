require "test_helper"

class RecipeTest < CoreTest
  Recipe = Rhexon::Mixing::Recipe

  def part(name, parts, **fields) = { "name" => name, "parts" => parts, **fields.transform_keys(&:to_s) }

  # 100 ml of base at 1.04 weigh 104 g; 10 ml of hardener at 1.12 weigh 11.2 g.
  def two_part = Recipe.new([ part("base", 100, density_g_per_ml: 1.04), part("hardener", 10, density_g_per_ml: 1.12) ])

  def test_parts_by_volume_are_not_parts_by_mass
    hardener = two_part.readings.last
    assert_in_delta 10, hardener[%w[base volume]], 1e-9
    assert_in_delta 1120 / 104.0, hardener[%w[base mass]], 1e-9
    assert_in_delta 100 / 11.0, hardener[%w[total volume]], 1e-9
    assert_in_delta 100 * 11.2 / 115.2, hardener[%w[total mass]], 1e-9
  end

  def test_a_share_of_the_total_and_of_the_base_are_two_amounts
    thirty = ->(of) {
      Recipe.new(
        [ part("base", 100, density_g_per_ml: 1), part("thinner", 30, of: of, density_g_per_ml: 0.8) ]
      ).unit_ml.last
    }
    assert_in_delta 0.30, thirty.call("base"), 1e-9
    assert_in_delta 0.30 / 0.70, thirty.call("total"), 1e-9
  end

  # 4 : 1 by volume, and 10 % of the total mass of a thinner at 0.9: masses 4 · 1.1 + 1 · 1.0 = 5.4 are 90 %, so the
  # thinner weighs 0.6 and takes 2/3 ml.
  def test_mixed_readings_in_one_recipe
    recipe = Recipe.new([
                          part("base", 4, density_g_per_ml: 1.1), part("hardener", 1, density_g_per_ml: 1.0),
                          part("thinner", 10, of: "total", basis: "mass", density_g_per_ml: 0.9)
                        ])
    grams = recipe.unit_g.map { |g| g * 4 }
    assert_in_delta 4.4, grams[0], 1e-9
    assert_in_delta 1.0, grams[1], 1e-9
    assert_in_delta 0.6, grams[2], 1e-9
    assert_in_delta 10, recipe.own_reading(2, grams), 1e-9
  end

  # 20 % by volume and 20 % by mass of the total, beside a base of 1 ml, 1 g: V = 1 + 0.2 V + 0.2 M / 2, M = 1 + 0.2 ·
  # 0.5 V + 0.2 M.
  def test_shares_of_the_total_by_volume_and_by_mass_together
    recipe = Recipe.new([
                          part("base", 100, density_g_per_ml: 1), part("light", 20, of: "total", density_g_per_ml: 0.5),
                          part("heavy", 20, of: "total", basis: "mass", density_g_per_ml: 2)
                        ])
    assert_in_delta 20, recipe.reading(1, recipe.unit_g, of: "total", basis: "volume"), 1e-9
    assert_in_delta 20, recipe.reading(2, recipe.unit_g, of: "total", basis: "mass"), 1e-9
  end

  def test_a_blend_of_a_blend_is_flattened
    blend = part(
      "B and C", 1,
      components: [ part("B", 1, basis: "mass", density_g_per_ml: 1), part("C", 1, basis: "mass", density_g_per_ml: 1) ]
    )
    shares = Recipe.new([ part("A", 1, density_g_per_ml: 1), blend ]).flattened
    assert_in_delta 0.5, shares["A"], 1e-9
    assert_in_delta 0.25, shares["B"], 1e-9
    assert_in_delta 0.25, shares["C"], 1e-9
  end

  def test_a_missing_density_is_a_marked_estimate_of_the_class
    recipe = Recipe.new(
      [ part("base", 100, class: "waterborne_two_part"), part("hardener", 10, density_g_per_ml: 1.1) ]
    )
    assert_in_delta 1.04, recipe.base.density_g_per_ml, 1e-9
    assert_predicate recipe, :estimate?
    refute_predicate two_part, :estimate?
  end

  def test_what_cannot_be_mixed_is_refused_with_a_sentence
    assert_match(/has no share/, refusal { Recipe.new([ part("base", 0) ]) }.message)
    assert_match(/has no density/, refusal { Recipe.new([ part("base", 1, density_g_per_ml: 0) ]) }.message)
    assert_match(/Two components are called base/, refusal { Recipe.new([ part("base", 1), part("base", 1) ]) }.message)
    assert_match(/do not come to 100 %/,
                 refusal { Recipe.new([ part("base", 100), part("thinner", 100, of: "total") ]) }.message)
    assert_match(/do not come to 100 %/,
                 refusal { Recipe.new([ part("base", 80, of: "total"), part("thinner", 30, of: "total") ]) }.message)
    assert_match(/outside its own range.*8 to 12/,
                 refusal { Recipe.new([ part("base", 100), part("hardener", 15, range: [ 8, 12 ]) ]) }.message)
  end
end
