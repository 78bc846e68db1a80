require "test_helper"

class CutsTest < CoreTest
  Cut = Rhexon::Mixing::Cut
  Cuts = Rhexon::Mixing::Cuts

  def pounds(value) = Cut.read({ "lb_per_gal" => value })

  def test_all_notations_of_one_cut
    assert_in_delta 119.826, pounds(1).g_per_l, 0.001
    assert_in_delta 250, Cut.read({ "g_to_ml" => [ 1, 4 ] }).g_per_l, 1e-9
    assert_in_delta 2, Cut.read({ "g_per_l" => 239.6528 }).lb_per_gal, 0.0001
    # 1 part of flake to 3 of spirit by mass: 1 g to 3 / 0.789 ml.
    assert_in_delta 263, Cut.read({ "parts_mass" => [ 1, 3 ] }).g_per_l, 1e-9
    # 25 % by mass is the same.
    assert_in_delta 263, Cut.read({ "percent_mass" => 25 }).g_per_l, 1e-9
    assert_in_delta 1000 / 3.0 * 0.8, Cut.read({ "percent_mass" => 25, "spirit_density_g_per_ml" => 0.8 }).g_per_l, 1e-9
  end

  def test_a_two_pound_cut_is_about_18_percent_solids
    assert_in_delta 17.9, pounds(2).solids_volume_percent, 0.05
  end

  # 2 lb: 0.23965 g/ml, 0.21787 ml of flake to 1 ml of spirit; 500 ml hold 410.55 ml of spirit and 98.39 g of flake.
  def test_making_an_amount
    made = Cuts.make(pounds(2), solution_ml: 500)
    assert_in_delta 410.554, made.spirit_ml, 0.001
    assert_in_delta 98.390, made.flake_g, 0.001
    assert_in_delta 500, Cuts.from_flake(pounds(2), flake_g: made.flake_g).solution_ml, 1e-6
  end

  # One part of a 2 lb cut and three parts of spirit: 0.50 lb by the rule of thumb, 0.43 lb by mass balance, 16 % off.
  def test_the_rule_of_thumb_beside_the_mass_balance
    thinned = Cuts.thinned(pounds(2), 100, 300)
    assert_in_delta 0.50, thinned.rule_of_thumb_lb_per_gal, 1e-9
    assert_in_delta 0.43, thinned.cut.lb_per_gal, 0.001
    assert_in_delta 16, thinned.off_percent, 0.5
  end

  def test_thinning_to_a_wanted_cut_and_back
    thinned = Cuts.change(pounds(2), solution_ml: 250, to: pounds(0.5))
    assert_in_delta 615.831, thinned.add_spirit_ml, 0.001
    assert_in_delta 0.5, Cuts.thinned(pounds(2), 250, thinned.add_spirit_ml).cut.lb_per_gal, 1e-9
  end

  def test_stock_and_spirit_for_an_amount
    made = Cuts.from_stock(pounds(3), make_ml: 400, to: pounds(1))
    assert_in_delta 400, made.stock_ml + made.add_spirit_ml, 1e-6
    assert_in_delta 1, made.cut.lb_per_gal, 1e-9
    assert_match(/cannot make a cut stronger/,
                 refusal { Cuts.from_stock(pounds(1), make_ml: 400, to: pounds(2)) }.message)
  end

  # 250 ml of a 1 lb cut hold 225.44 ml of spirit and 27.01 g; a 2 lb cut of that spirit needs twice the flake.
  def test_raising_a_cut_adds_flake
    raised = Cuts.change(pounds(1), solution_ml: 250, to: pounds(2))
    assert_in_delta 27.013, raised.add_flake_g, 0.01
    assert_in_delta 2 * 27.013, raised.flake_g, 0.01
  end

  def test_water_in_the_spirit_is_refused_with_the_reason
    assert_match(/30 % water.*rubbing grades/, refusal { Cuts.check_spirit!("water_percent" => 30) }.message)
    assert_nil Cuts.check_spirit!("water_percent" => 4)
  end

  def test_age_asks_for_a_smear_and_then_for_a_fresh_mix
    assert_equal %w[fresh test over], [ 2, 4, 7 ].map { |months| Cuts.age(months) }
    assert_equal %w[over test], [ Cuts.age(4, keeps_months: 3), Cuts.age(11, keeps_months: 12) ]
    assert Cuts.smear_passes?(tack_free_min: 15, dents: false)
    refute Cuts.smear_passes?(tack_free_min: 20, dents: false)
    refute Cuts.smear_passes?(tack_free_min: 10, dents: true)
  end

  def test_dissolving_time_by_method
    assert_equal [ 24, 72 ], Cuts.dissolving_h("standing")
    assert_match(/standing, crushed, tumbled/, refusal { Cuts.dissolving_h("boiled") }.message)
  end

  def test_absurd_cuts_are_refused
    [
      { "lb_per_gal" => 0 }, { "lb_per_gal" => 40 }, { "percent_mass" => 100 }, { "g_to_ml" => [ 1 ] },
      { "spoons" => 2 }, {}, nil, { "g_per_l" => "much" }
    ].each do |cut|
      assert_instance_of Rhexon::InvalidInput, refusal { Cut.read(cut) }, cut.inspect
    end
  end
end
