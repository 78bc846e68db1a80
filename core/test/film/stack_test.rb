require "test_helper"

class StackTest < CoreTest
  Coat = Rhexon::Film::Coat

  def product(id) = Rhexon::Materials::Product.new(PRODUCTS.find { |record| record["id"] == id })

  def stack(wood: "closed", arris: "eased_3mm") = Rhexon::Film::Stack.new(wood: wood, arris: arris)

  def lay(stack, id, key = "k#{stack.coats_laid}", wet: 100, fused: true, role: "top", method: "spray")
    found = product(id)
    stack.coat(found, method: method, pass: key, wet_um: wet, mixed_solids_percent: found.solids_volume_percent.value,
                      fused: fused, role: role)
  end

  # 80 µm wet at 34 % solids: 27.2 µm dry, and back
  def test_wet_to_dry_and_back
    assert_in_delta 27.2, Coat.dry_um(80, 34), 1e-9
    assert_in_delta 80, Coat.wet_um(27.2, 34), 1e-9
    assert_match(/no film/, refusal { Coat.wet_um(20, 0) }.message)
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

  # Sharp arris carries 0.3: 5.61 + 9.18; 10 µm off the face is 13 off the arris: 1.79 left
  def test_the_arris_carries_less_and_loses_more
    film = lay(lay(stack(arris: "sharp"), "w20"), "w20").abrade(10)
    assert_in_delta 1.79, film.layers.sum(&:arris_um), 1e-9
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

  def off(texture, aim: "rub_out", **step)
    Rhexon::Film::Abrasion.of(aim, step.transform_keys(&:to_s), texture)
  end

  # Sprayed texture 12 + 3; then P600 5 · 25.8 / 46.2 = 2.792, P1000 1.981, P2000 1.115, P3000 0.649. By machine only
  # what is pressed for counts twice.
  def test_texture_is_taken_once
    ladder = off(12.0, grits: %w[P400 P600 P1000])
    assert_in_delta 15 + 2.792 + 1.981, ladder.um, 0.001
    first = off(12.0, grits: [ "P400" ])
    rest = off(first.texture_um, grits: %w[P600 P1000])
    assert_in_delta ladder.um, first.um + rest.um, 1e-9, "one step or two: the same film is left"
    assert_in_delta 1.115 + 0.649, off(0.0, grits: %w[P2000 P3000]).um, 0.001
    assert_in_delta 0.5, off(0.0, grits: [ "P3000" ], removes_um: 0.5).um, 1e-9
    assert_in_delta 12 + 6 + 2 * 2.792, off(12.0, grits: %w[P400 P600], machine: true).um, 0.001
  end

  # Eight sprayed coats of shellac at 80 µm wet: 14.4 µm each, the first two 7.92 and 12.96. P400 and P600 take 17.79
  # off, however the ladder is cut up.
  def test_a_ladder_in_one_step_in_two_and_split_by_a_look_leaves_the_same
    laid = 8.times.reduce(stack) { |film, _| lay(film, "seal", wet: 80) }
    one = off(laid.texture_um, grits: %w[P400 P600]).then do |taken|
      laid.abrade(taken.um, texture_um: taken.texture_um)
    end
    two = [ %w[P400], %w[P600] ].reduce(laid) do |film, grits|
      off(film.texture_um, grits: grits).then { |taken| film.abrade(taken.um, texture_um: taken.texture_um) }
    end
    assert_in_delta laid.total_um - 17.792, one.total_um, 0.001
    assert_in_delta one.total_um, two.total_um, 1e-9
    assert_in_delta 12, lay(two, "seal").texture_um, 1e-9, "a coat sets it anew"
  end

  # 5 µm at P320 (46.2 µm); P120 · 125 / 46.2, P600 · 25.8 / 46.2, P1000 · 18.3 / 46.2. A scuff is 2 at P320, and one
  # rubbing whatever papers it takes.
  def test_what_comes_off_goes_with_the_grain_and_the_purpose
    assert_equal [ 13.53, 7.36, 5.0, 3.79, 2.79, 1.98 ],
                 %w[
                   P120 P220 P320 P400 P600 P1000
                 ].map { |grit| off(12.0, aim: "between", grits: [ grit ]).um.round(2) }
    assert_in_delta 2, off(12.0, aim: "scuff", grits: [ "P320" ]).um, 1e-9
    assert_in_delta 2 * 58.5 / 46.2,
                    Rhexon::Film::Abrasion.of("scuff", { "grits" => %w[P240 P320] }, 12.0).um, 1e-9
    assert_in_delta 0.5, off(12.0, aim: "denib", grits: [ "P320" ]).um, 1e-9
    assert_in_delta 3, off(12.0, aim: "between", grits: [ "P320" ], removes_um: 3).um, 1e-9
  end

  def test_least_film_goes_by_use_and_by_how_most_of_the_film_was_laid
    least = ->(film) { Rhexon::Film::MinimumThickness.um("table_top", film) }
    assert_equal 45, least.(lay(stack, "w20"))
    assert_equal 0, least.(lay(lay(stack, "seal", method: "pad", wet: 40), "seal", method: "brush", wet: 20))
    assert_equal 45, least.(lay(lay(lay(stack, "w20"), "w20"), "w20", method: "wipe", wet: 15)), "mostly sprayed"
    assert_equal 0, least.(lay(lay(stack, "w20", method: "wipe", wet: 15), "w20", method: "wipe", wet: 15))
    assert_equal 0,
                 least.(
                   stack.coat(
                     Rhexon::Materials::Product.new("id" => "raw", "class" => "raw_oil"), method: "wipe", pass: "k",
                     wet_um: 8, mixed_solids_percent: 100, fused: true
                   )
                 )
    assert_nil Rhexon::Film::MinimumThickness.um(nil, lay(stack, "w20"))
  end

  # Waterborne over shellac, whose window never shuts: two films of two mechanisms never fuse.
  def test_films_of_two_mechanisms_do_not_fuse
    assert_equal [ 1, 2 ], lay(lay(stack, "seal"), "w20", fused: true).layers.map(&:bond_group)
  end

  # 25 wiped coats of 12 µm at 28 %: 3.36 µm each (the first two 0.40 and 0.75 of it on open wood) go wholly into 200
  # µm of pores: 79.4 / 200.
  # Brushed, 0.4 of the film. A filler fills 0.85 of what is open and loses 15 % of that: 0.7225 after one pass,
  # 0.9230 after two.
  def test_pores_by_how_they_are_filled
    wiped = 25.times.reduce(stack(wood: "open")) do |film, _|
      film.coat(
        Rhexon::Materials::Product.new("id" => "w", "class" => "wiping_varnish"), method: "wipe", pass: "k", wet_um: 12,
        mixed_solids_percent: 28, fused: true
      )
    end
    assert_in_delta (3.36 * (0.4 + 0.75 + 23)) / 200, wiped.pores_filled, 1e-4
    assert_equal "half-filled", wiped.pores
    assert_in_delta 0.4 * 0.4 * 34 / 200, lay(stack(wood: "open"), "w20").pores_filled, 1e-9
    once = stack(wood: "open").fill
    assert_in_delta 0.7225, once.pores_filled, 1e-9
    assert_in_delta 0.9230, once.fill.pores_filled, 1e-4
    assert_equal %w[half-filled closed], [ once.pores, once.fill.pores ]
    assert_in_delta once.pores_filled + 0.4 * 0.4 * 34 / 200, lay(once, "w20").abrade(6).cut_back.pores_filled, 1e-9,
                    "neither levelling nor cutting back empties them"
    epoxy = lay(stack(wood: "open"), "w20").coat(Rhexon::Materials::Product.new("id" => "e", "class" => "epoxy_clear"),
                                                 method: "brush", pass: "k", wet_um: 150, mixed_solids_percent: 100,
                                                 fused: false)
    assert_in_delta 0.0272 + 0.7 * (1 - 0.0272), epoxy.pores_filled, 1e-9
  end

  # One sealer coat of 90 µm at 20 %: 9.9 µm, on an arris eased to 1 mm 5.94 ± 0.891. Flattened with P320: 6.5 ± 1.625
  # off the edge: z = 0.56 / 1.853 = 0.302: 0.619.
  # A denib of 0.65 ± 0.16 never gets there.
  def test_the_chance_of_going_through_to_colour
    sealed = lay(stack(arris: "eased_1mm").stain, "lacquer", wet: 90)
    assert_in_delta 0.619, sealed.sand_through(5, hidden: false)[:chance], 0.001
    assert_operator sealed.sand_through(0.5, hidden: false)[:chance], :<, 1e-6
    assert_nil lay(stack, "lacquer").sand_through(5, hidden: false), "bare wood has no colour"
    white = Rhexon::Materials::Product.new("id" => "white", "class" => "waterborne_primer", "colour" => "pigmented")
    primed = stack(arris: "sharp").coat(white, method: "spray", pass: "k", wet_um: 40, mixed_solids_percent: 40,
                                               fused: true)
    assert_in_delta 2.64, primed.sand_through(2, hidden: false)[:clear_um], 1e-9
    assert_nil primed.sand_through(2, hidden: true)
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
