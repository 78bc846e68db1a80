require "test_helper"

class CorrectionTest < CoreTest
  Mixing = Rhexon::Mixing

  def part(name, parts, **fields)
    { "name" => name, "parts" => parts, "basis" => "mass", "density_g_per_ml" => 1.0, **fields.transform_keys(&:to_s) }
  end

  # 400 g of base, 40 g of hardener, 40 g of thinner that may be 5 to 15 parts.
  def sheet(*more, base: {}, hardener: {})
    Mixing::PourSheet.new(
      Mixing::Recipe.new(
        [ part("base", 100, **base), part("hardener", 10, **hardener), part("thinner", 10, range: [ 5, 15 ]), *more ]
      ),
      { "total_g" => 480 }
    )
  end

  def correct(*poured, limits: {}, sheet: sheet())
    Mixing::Correction.new(sheet, poured.map { |name, g| { "name" => name, "g" => g } }, limits)
  end

  def adds(correction) = correction.pours.map { |pour| pour.add_g.round(3) }

  # 418 g of base are within 5 %; its hardener is 10 parts of what is really there.
  def test_inside_the_tolerance_the_hardener_follows_the_base
    assert_equal [ 1.0, [ 0.0, 41.8, 40.0 ] ], correct([ "base", 418 ]).then { |found| [ found.factor, adds(found) ] }
    assert_empty correct([ "base", 418 ]).options
  end

  def test_too_much_base_scales_the_rest
    found = correct([ "base", 480 ])
    assert_in_delta 1.2, found.factor, 1e-9
    assert_equal [ 0.0, 48.0, 48.0 ], adds(found)
    assert_in_delta 576, found.total_g, 1e-6
  end

  def test_too_little_is_only_filled_up
    found = correct([ "base", 300 ])
    assert_equal [ 1.0, [ 100.0, 40.0, 40.0 ] ], [ found.factor, adds(found) ]
  end

  # 44 g of hardener are 1.1 of its target: the base already in the pot is topped up by 1.1 · 400 - 400, and stirred
  # again.
  def test_too_much_hardener_tops_up_the_base
    found = correct([ "base", 400 ], [ "hardener", 44 ])
    assert_equal [ 40.0, 0.0, 44.0 ], adds(found)
    assert_predicate found, :stir_again?
    assert_match(/pot life already runs/, found.options.first.sentence)
  end

  # 500 g into 964 of base are 51.9 parts where 50 are wanted and 51 are borne: 36 g of base bring it to 1000, though
  # 964 by itself were near enough. The reducer is no base: it follows.
  def test_a_hardener_is_held_against_the_base_in_the_pot
    paint = Mixing::PourSheet.new(
      Mixing::Recipe.new([ part("paint", 100), part("hardener", 50), part("reducer", 30, role: "thinner") ]),
      { "have" => { "name" => "paint", "g" => 964 } }
    )
    over = correct([ "paint", 964 ], [ "hardener", 500 ], sheet: paint)
    assert_equal [ 36.0, 0.0, 300.0 ], adds(over)
    assert_in_delta 50, over.comes_to["hardener"], 1e-9
    under = correct([ "paint", 1000 ], [ "hardener", 482 ], sheet: paint)
    assert_in_delta 50, under.comes_to["hardener"], 1, "within two per cent of the base that is there"
    thinned = correct([ "paint", 964 ], [ "hardener", 482 ], [ "reducer", 315 ], sheet: paint)
    assert_equal [ 1.0, [ 0.0, 0.0, 0.0 ] ], [ thinned.factor, adds(thinned) ], "a tenth more of thinner is borne"
  end

  def test_after_several_over_pours_the_largest_decides
    assert_in_delta 1.3, correct([ "base", 440 ], [ "hardener", 52 ]).factor, 1e-9
  end

  def test_pours_of_one_component_add_up_and_a_second_over_pour_is_corrected_again
    assert_in_delta 1.25, correct([ "base", 480 ], [ "hardener", 40 ], [ "hardener", 10 ]).factor, 1e-9
  end

  # 56 g of thinner to 400 of base are 14 parts, inside 5 to 15.
  def test_a_share_inside_its_own_range_is_accepted_with_the_real_share
    found = correct([ "base", 400 ], [ "hardener", 40 ], [ "thinner", 56 ])
    assert_equal [ 1.0, [ 0.0, 0.0, 0.0 ] ], [ found.factor, adds(found) ]
    assert_equal({ "thinner" => 14.0 }, found.accepted.transform_values { |share| share.round(6) })
  end

  def test_a_share_past_its_range_scales_the_batch
    assert_in_delta 2.0, correct([ "base", 400 ], [ "hardener", 40 ], [ "thinner", 80 ]).factor, 1e-9
  end

  def test_options_with_what_stands_in_their_way_and_their_cost
    dear = sheet(base: { price_per_kg: 20, left_g: 30 }, hardener: { price_per_kg: 50, range: [ 8, 12 ] })
    found = correct([ "base", 480 ], sheet: dear, limits: { "container_ml" => 550 }).options
    assert_equal %w[accept split discard top_up], found.map(&:kind)
    assert_equal "container", found.last.blocked_by
    assert_match(/hardener at 8.33 \(8 to 12\)/, found.first.sentence)
    # 80 g of base at 20 a kg, 8 g of hardener at 50; discarding takes 480 g of base.
    assert_in_delta 1.6 + 0.4, found.last.cost, 1e-9
    assert_in_delta 9.6, found[2].cost, 1e-9
    split = found[1]
    assert_in_delta 80, split.extra_g, 1e-6
    assert_equal [ 400.0, 40.0, 40.0 ], split.pours.map { |pour| pour.final_g.round(6) }
  end

  def test_stock_and_pot_life_stand_in_the_way_of_topping_up
    tight = sheet(base: { left_g: 30 })
    assert_equal "stock",
                 correct([ "base", 400 ], [ "hardener", 48 ], sheet: tight)
                   .options
                   .find { |option| option.kind == "top_up" }
                   .blocked_by
    assert_equal "pot_life",
                 correct([ "base", 480 ], limits: { "usable_g" => 500 })
                   .options
                   .find { |option| option.kind == "top_up" }
                   .blocked_by
  end

  def test_far_over_discarding_comes_first
    assert_equal "discard", correct([ "base", 400 ], [ "hardener", 64 ]).options.first.kind
    assert_equal "top_up", correct([ "base", 400 ], [ "hardener", 56 ]).options.first.kind
  end

  def test_left_as_it_is_the_rest_goes_in_as_planned
    left = Mixing::Correction.new(sheet, [ { "name" => "base", "g" => 480 } ], leave: true)
    assert_equal [ 1.0, [ 0.0, 40.0, 40.0 ], [] ], [ left.factor, adds(left), left.options ]
  end

  def test_pours_that_cannot_be_are_refused
    assert_match(/no component called milk/, refusal { correct([ "milk", 3 ]) }.message)
    assert_match(/cannot have been poured/, refusal { correct([ "base", -3 ]) }.message)
  end

  # Whatever is poured in whatever order: following the correction brings every component to k times its target, a
  # hardener to its share of the base that is there, within its tolerance, or inside its range.
  def test_following_the_correction_restores_every_ratio
    random = Random.new(7)
    300.times do
      sheet = random_sheet(random)
      poured = sheet.pours.first(random.rand(1..sheet.pours.size)).map do |pour|
        { "name" => pour.name, "g" => pour.g * random.rand(0.7..1.6) }
      end
      correction = Mixing::Correction.new(sheet, poured)
      correction.pours.zip(sheet.pours) { |now, target| assert_restored(now, target, correction) }
      followed = poured + correction.pours.map { |pour| { "name" => pour.name, "g" => pour.add_g } }
      after = Mixing::Correction.new(sheet, followed)
      assert_operator after.factor, :<=, correction.factor + 1e-6
      assert_in_delta 0, after.pours.sum(&:add_g), 1e-6, "followed, there is nothing more to pour"
    end
  end

  # 480 g of base scale by 1.2: 48 g of hardener, 2 % of that is 0.96 g; of the thinner 10 %.
  def test_each_pour_says_how_far_it_may_go_and_where_it_stands
    base, hardener, thinner = correct([ "base", 480 ], [ "thinner", 20 ]).pours
    assert_equal %w[done waiting short], [ base, hardener, thinner ].map { |pour| pour.state(0.1) }
    assert_in_delta 48 - 0.96, hardener.low_add_g, 1e-6
    assert_in_delta 48 + 0.96, hardener.high_add_g, 1e-6
    assert_in_delta 28 - 4.8, thinner.low_add_g, 1e-6
    assert_equal 0.0, base.low_add_g
    assert_equal %w[short done],
                 [ 0.1, 300 ].map { |resolution| correct([ "base", 300 ]).pours.first.state(resolution) },
                 "less than half a step of the scale is nothing"
  end

  private

  def random_sheet(random)
    parts = [
      part("base", 100, density_g_per_ml: random.rand(0.8..1.4)),
      part("hardener", random.rand(2.0..60), basis: %w[mass volume].sample(random: random),
                                             density_g_per_ml: random.rand(0.8..1.2))
    ]
    share = random.rand(5.0..30)
    if random.rand < 0.6
      parts << part("thinner", share, of: %w[base total].sample(random: random), range: [ share * 0.6, share * 1.4 ])
    end
    Mixing::PourSheet.new(Mixing::Recipe.new(parts), { "total_g" => random.rand(100..5000) })
  end

  def assert_restored(now, target, correction)
    assert_operator now.add_g, :>=, 0
    return if correction.accepted.key?(now.name) || target.component.range

    base = correction.pours.first.final_g / correction.sheet.grams.first
    wanted = (target.component.role == "hardener" ? base : correction.factor) * target.g
    assert_in_delta wanted, now.final_g, wanted * target.component.tolerance_percent / 100 + 1e-6
  end
end
