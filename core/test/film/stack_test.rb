require "test_helper"

class StackTest < CoreTest
  Coat = Rhexon::Film::Coat

  def product(id) = Rhexon::Materials::Product.new(PRODUCTS.find { |record| record["id"] == id })

  def stack(wood: "closed", arris: "eased_3mm") = Rhexon::Film::Stack.new(wood: wood, arris: arris)

  def lay(stack, id, key = "k#{stack.coats_laid}", wet: 100, fused: true, role: "top")
    found = product(id)
    stack.coat(found, pass: key, wet_um: wet, mixed_solids_percent: found.solids_volume_percent.value, fused: fused, role: role)
  end

  # 80 µm wet at 34 % solids: 27.2 µm dry, and back
  def test_wet_to_dry_and_back
    assert_in_delta 27.2, Coat.dry_um(80, 34), 1e-9
    assert_in_delta 80, Coat.wet_um(27.2, 34), 1e-9
    assert_match(/no film/, refusal { Coat.wet_um(20, 0) }.message)
  end

  # 34 % thinned by 10 % of base: 34 / 1.10 = 30.9; by 10 % of the total: 34 · 0.90 = 30.6
  def test_thinner_counts_as_volume_without_solids
    assert_in_delta 30.909, Coat.mixed_solids_percent(34, { "percent" => 10, "of" => "base" }), 0.001
    assert_in_delta 30.6, Coat.mixed_solids_percent(34, { "percent" => 10, "of" => "total" }), 1e-9
    assert_in_delta 34, Coat.mixed_solids_percent(34, nil), 1e-9
  end

  # Open wood keeps 0.40, 0.75 and then all of 100 µm · 34 %: 13.6 + 25.5 + 34
  def test_bare_wood_drinks_the_first_coats
    film = 3.times.reduce(stack(wood: "open")) { |so_far, _| lay(so_far, "w20") }
    assert_equal [ 13.6, 25.5, 34.0 ], film.layers.map { |layer| layer.um.round(6) }
    assert_in_delta 73.1, film.total_um, 1e-9
  end

  def test_after_a_sanded_sealer_the_next_coat_counts_as_a_later_one
    sealed = lay(stack, "seal", wet: 80, role: "seal")
    assert_in_delta 34 * 0.9, lay(sealed, "w20").layers.last.um, 1e-9
    assert_in_delta 34, lay(sealed.abrade(0.5), "w20").layers.last.um, 1e-9
  end

  def test_abrasion_eats_from_the_top_down_and_forgets_nothing
    film = lay(lay(stack, "w20"), "w20").abrade(40)
    assert_equal [ 9.3, 0.0 ], film.layers.map { |layer| layer.um.round(6) }, "18.7 and 30.6 laid; 40 taken"
    assert_equal 2, film.layers.size
    assert_in_delta 30.6, film.layers.last.laid_um, 1e-9
  end

  # Sharp arris carries half: 9.35 + 15.3; 10 µm off the face is 13 off the arris: 11.65 left
  def test_the_arris_carries_less_and_loses_more
    film = lay(lay(stack(arris: "sharp"), "w20"), "w20").abrade(10)
    assert_in_delta 11.65, film.layers.sum(&:arris_um), 1e-9
    assert_in_delta 39.3, film.total_um, 1e-9
  end

  def test_cutting_back_to_the_wood_does_not_make_it_thirsty_again
    film = lay(lay(stack, "w20"), "w20").abrade(500)
    assert_in_delta 0, film.total_um, 1e-9
    assert_in_delta 34, lay(film, "w20").total_um, 1e-9
  end

  def test_one_evaporative_family_melts_into_one_layer
    film = lay(lay(stack, "lacquer", fused: false), "lacquer", fused: false)
    assert_equal film.layers.first.bond_group, film.layers.last.bond_group
    assert film.top_layer[:redissolves]
    assert film.top_layer[:whole_film]
  end

  def test_a_missed_window_makes_a_layer_of_its_own
    film = lay(lay(lay(stack, "w20"), "w20", fused: true), "w20", fused: false)
    assert_equal [ 1, 1, 2 ], film.layers.map(&:bond_group)
    assert_in_delta 34, film.top_layer[:um], 1e-9
  end

  def test_clear_above_colour
    assert_nil lay(stack, "w20").clear_over_colour
    assert_in_delta 18.7, lay(stack.stain, "w20").clear_over_colour[:face_um], 1e-9
    assert_in_delta 0, lay(stack, "w20").stain.abrade(100).clear_over_colour[:face_um], 1e-9
  end

  # sd: 10 % of 18.7, 10 % of 30.6, 25 % of 10, independent: sqrt(1.87² + 3.06² + 2.5²) = 4.3716
  def test_uncertainty_of_coats_and_removals
    film = lay(lay(stack, "w20"), "w20").abrade(10)
    assert_in_delta 4.3716, film.sd_um, 0.0001
    assert_in_delta 0.5, film.chance_under(39.3), 1e-6
    assert_in_delta 0.1587, film.chance_under(39.3 - 4.3716), 0.0005
  end

  # Brushed texture 20 + 5, then P1000 2 and P2000 0.5; by machine twice
  def test_what_a_rub_out_takes_off
    step = { "grits" => %w[P800 P1000 P2000], "aim" => "rub_out" }
    assert_in_delta 27.5, Rhexon::Film::Abrasion.removal_um(step, "brush"), 1e-9
    assert_in_delta 55, Rhexon::Film::Abrasion.removal_um(step.merge("machine" => true), "brush"), 1e-9
    assert_in_delta 5, Rhexon::Film::Abrasion.removal_um({ "grits" => [ "P320" ], "aim" => "between" }, "brush"), 1e-9
    assert_in_delta 3, Rhexon::Film::Abrasion.removal_um({ "grits" => [ "P320" ], "aim" => "between", "removes_um" => 3 }, "brush"), 1e-9
  end

  def test_least_film_goes_by_use_and_family
    assert_equal 65, Rhexon::Film::Least.um("table_top", product("w20"), "spray")
    assert_equal 20, Rhexon::Film::Least.um("table_top", product("seal"), "pad")
    assert_nil Rhexon::Film::Least.um(nil, product("w20"), "spray")
  end

  # At touch (p = 1) the rest is exp(-3) = 5 % of what shrinks
  def test_the_drawn_curve_falls_from_wet_to_dry
    points = Rhexon::Film::Curve.points(1000, ->(share) { 1000 + share * 60 }, 80, 27.2)
    assert_equal [ 1000, 80.0 ], points.first
    assert_equal [ 1120, 27.2 ], points.last
    assert_operator points.size, :<=, 24
    assert_equal points.map(&:last).sort.reverse, points.map(&:last)
    near_touch = points.min_by { |minute, _| (minute - 1060).abs }
    assert_in_delta 27.2 + 52.8 * Math.exp(-3), near_touch.last, 1.0
  end
end
