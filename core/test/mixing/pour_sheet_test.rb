require "test_helper"

class PourSheetTest < CoreTest
  RECIPE = [
    { "name" => "base", "parts" => 100, "density_g_per_ml" => 1.04 },
    { "name" => "hardener", "parts" => 10, "density_g_per_ml" => 1.12 }
  ].freeze

  def sheet(want, resolution_g: 1, recipe: RECIPE)
    Rhexon::Mixing::PourSheet.new(Rhexon::Mixing::Recipe.new(recipe), want, resolution_g: resolution_g)
  end

  # 500 ml are 454.55 ml of base (472.73 g) and 45.45 ml of hardener (50.91 g).
  def test_targets_bands_and_running_totals
    base, hardener = sheet({ "total_ml" => 500 }).pours
    assert_in_delta 472.727, base.g, 0.001
    assert_in_delta 472.727 * 0.95, base.low_g, 0.001
    assert_in_delta 50.909, hardener.g, 0.001
    assert_in_delta 50.909 * 1.02, hardener.high_g, 0.001
    assert_in_delta 523.636, hardener.running_g, 0.001
  end

  def test_from_what_is_left_and_the_component_that_decides
    assert_in_delta 410 * 115.2 / 104, sheet({ "have" => { "name" => "base", "g" => 410 } }).total_g, 0.001
    both = sheet({ "have" => [ { "name" => "base", "g" => 410 }, { "name" => "hardener", "ml" => 30 } ] })
    assert_equal "hardener", both.limiting
    assert_in_delta 330, both.total_ml, 0.001
  end

  # A 1 g scale and hardener at 10 % of the total mass at 2 %: half a gram in 25, 250 g; a 0.1 g scale: 25 g.
  def test_the_smallest_batch_a_scale_can_weigh
    tenth = [
      { "name" => "base", "parts" => 90, "of" => "total", "basis" => "mass" },
      { "name" => "hardener", "parts" => 10, "of" => "total", "basis" => "mass" }
    ]
    assert_in_delta 250, sheet({ "total_g" => 200 }, recipe: tenth).smallest_total_g, 1e-6
    assert_predicate sheet({ "total_g" => 200 }, recipe: tenth), :too_small?
    refute_predicate sheet({ "total_g" => 250 }, recipe: tenth), :too_small?
    assert_in_delta 25, sheet({ "total_g" => 200 }, resolution_g: 0.1, recipe: tenth).smallest_total_g, 1e-6
    assert_equal 0, sheet({ "total_g" => 3 }, recipe: [ { "name" => "oil", "parts" => 100 } ]).smallest_total_g
  end

  # 14 parts of 10 to 20 on 100 g of base: 10 to 20 g will do, so a gram does not matter. 10 % of the total, allowed 5
  # to 15 %, beside 90 g: 4.74 to 15.88 g.
  def test_a_component_with_a_range_of_its_own_is_judged_by_it
    ranged = [
      { "name" => "base", "parts" => 100, "basis" => "mass" },
      { "name" => "hardener", "parts" => 14, "basis" => "mass", "range" => [ 10, 20 ] }
    ]
    pour = sheet({ "total_g" => 114 }, recipe: ranged).pours.last
    assert_equal [ 14.0, 10.0, 20.0 ], [ pour.g, pour.low_g, pour.high_g ].map { |g| g.round(9) }
    refute_predicate sheet({ "total_g" => 114 }, recipe: ranged), :too_small?
    total = [
      { "name" => "base", "parts" => 90, "of" => "total", "basis" => "mass" },
      { "name" => "thinner", "parts" => 10, "of" => "total", "basis" => "mass", "range" => [ 5, 15 ] }
    ]
    pour = sheet({ "total_g" => 100 }, recipe: total).pours.last
    assert_in_delta 90 * 5 / 95.0, pour.low_g, 1e-9
    assert_in_delta 90 * 15 / 85.0, pour.high_g, 1e-9
  end

  def test_amounts_that_cannot_be_mixed_are_refused
    [
      { "total_ml" => 0 }, { "total_g" => -5 }, { "total_ml" => Float::INFINITY }, {}, { "total_g" => 5_000_000 },
      { "have" => { "name" => "nothing", "g" => 1 } }
    ].each do |want|
      assert_instance_of Rhexon::InvalidInput, refusal { sheet(want) }, want.inspect
    end
    assert_match(/no resolution/, refusal { sheet({ "total_ml" => 1 }, resolution_g: 0) }.message)
  end
end
