require "test_helper"

# Thinning, pot life, how much to mix, drops.
class AmountsTest < CoreTest
  Mixing = Rhexon::Mixing

  def product(**fields)
    Rhexon::Materials::Product.new({ "id" => "p", "class" => "waterborne_two_part", **fields.transform_keys(&:to_s) })
  end

  def test_thirty_percent_in_both_conventions
    assert_in_delta 300, Mixing::Thinning.thinner_ml(1000, 30, of: "base"), 1e-9
    assert_in_delta 428.571, Mixing::Thinning.thinner_ml(1000, 30, of: "total"), 0.001
    assert_in_delta 42.857, Mixing::Thinning.other_percent(30, of: "total"), 0.001
    assert_in_delta 23.077, Mixing::Thinning.other_percent(30, of: "base"), 0.001
    assert_match(/cannot be thinner/, refusal { Mixing::Thinning.thinner_ml(1000, 100, of: "total") }.message)
  end

  # 1 L at 34 % and 0.1 L of hardener at 90 %: (340 + 90) / 1.1.
  def test_solids_of_a_mix
    assert_in_delta 39.09, Mixing::Thinning.solids_percent([ [ 1000, 34 ], [ 100, 90 ] ]), 0.01
  end

  # The same pour gives the same film, written as the product's mix or as thinning: 50 parts of thinner 36 / 1.5;
  # hardener counts with its own solids, (100 · 36 + 20 · 90) / 120 = 45; one whose solids nobody states leaves the
  # sheet's figure as that of the mix.
  def test_solids_of_the_whole_pour
    shelf = [
      { "id" => "base", "class" => "solvent_two_part", "solids_volume_percent" => 36 },
      { "id" => "spirit", "class" => "thinner" },
      { "id" => "hard", "class" => "hardener", "solids_volume_percent" => 90 },
      { "id" => "unsaid", "class" => "hardener" }
    ]
    solids = lambda do |step = {}, *mix|
      products = shelf.to_h do |record|
        [ record["id"], Rhexon::Materials::Product.new(record["id"] == "base" ? record.merge("mix" => mix) : record) ]
      end
      Mixing::ProductMix.solids_percent(products["base"], products, step)
    end
    thinner = ->(parts) { { "product" => "spirit", "parts" => parts, "role" => "thinner" } }
    assert_equal [ 36.0, 24.0, 9.0 ],
                 [ solids.(), solids.({}, thinner.(50)), solids.({}, thinner.(300)) ].map { |percent| percent.round(9) }
    assert_in_delta 24, solids.({ "thinning" => { "percent" => 50, "of" => "base" } }), 1e-9
    assert_in_delta 24, solids.({ "thinning" => { "percent" => 100 / 3.0, "of" => "total" } }), 1e-9
    assert_in_delta 45, solids.({}, { "product" => "hard", "parts" => 20, "role" => "hardener" }), 1e-9
    assert_in_delta 36, solids.({}, { "product" => "unsaid", "parts" => 20, "role" => "hardener" }), 1e-9
    assert_in_delta 36 / 1.1, solids.({ "thinning" => { "percent" => 10, "of" => "base" } }), 1e-9
  end

  # A half-pound cut out of the jar's 2 lb (18 %): 0.0545 ml of flake to a ml of spirit, so 100 ml hold 18 of flake
  # and 82 of spirit, and take 248.2 ml more: 5.17 %.
  def test_a_step_may_ask_for_a_cut
    shellac = product(id: "jar", class: "shellac")
    half = { "cut_lb_per_gal" => 0.5 }
    assert_in_delta 248.5, Mixing::ProductMix.thinning(shellac, half)["percent"], 0.5
    assert_in_delta 5.17, Mixing::ProductMix.solids_percent(shellac, { "jar" => shellac }, half), 0.01
    assert_in_delta 18, Mixing::ProductMix.solids_percent(shellac, { "jar" => shellac }, { "cut_lb_per_gal" => 2 }),
                    0.15
    assert_match(/spirit cannot make it 3 lb/,
                 refusal { Mixing::ProductMix.thinning(shellac, { "cut_lb_per_gal" => 3 }) }.message)
    assert_match(/has no cut/, refusal { Mixing::ProductMix.thinning(product, half) }.message)
    laid = plan(piece(document(coat("s1", product: "seal", wet_um: 80, cut_lb_per_gal: 0.5))))
      .film("top", "show").final.total_um
    assert_in_delta 80 * 0.0517 * 0.55, laid, 0.02
  end

  # 1 L of 100 g/L ready for use, 250 less water (so 600 ml of water), and 0.2 L of a solvent of 800 g/L.
  def test_voc_in_both_conventions
    voc = Mixing::Thinning.voc([
                                 { ml: 1000, ready_g_per_l: 100, less_water_g_per_l: 250 },
                                 { ml: 200, ready_g_per_l: 800, less_water_g_per_l: 800 }
                               ])
    assert_in_delta 260 / 1.2, voc[:ready_g_per_l], 1e-6
    assert_in_delta 260 / 0.6, voc[:less_water_g_per_l], 1e-6
  end

  def test_water_as_thinner_adds_no_solvent_and_does_not_change_less_water
    voc = Mixing::Thinning.voc([
                                 { ml: 1000, ready_g_per_l: 100, less_water_g_per_l: 250 },
                                 { ml: 100, ready_g_per_l: 0, less_water_g_per_l: 0, solids: 0.0 }
                               ])
    assert_in_delta 100 / 1.1, voc[:ready_g_per_l], 1e-6
    assert_in_delta 250, voc[:less_water_g_per_l], 1e-6
  end

  # Between 40 s at 0 % and 20 s at 20 %, halfway on a log scale is sqrt(800).
  def test_efflux_only_between_known_readings
    readings = [ [ 0, 40 ], [ 20, 20 ] ]
    assert_in_delta Math.sqrt(800), Mixing::Thinning.efflux_s(readings, 10), 1e-9
    assert_equal [ 40.0, 20.0 ], [ 0, 20 ].map { |percent| Mixing::Thinning.efflux_s(readings, percent).round(9) }
    assert_nil Mixing::Thinning.efflux_s(readings, 25)
    assert_nil Mixing::Thinning.efflux_s([], 5)
  end

  def test_pot_life_halves_for_every_ten_degrees
    assert_in_delta 240, Mixing::PotLife.minutes(product, t_c: 20), 1e-9
    assert_in_delta 120, Mixing::PotLife.minutes(product, t_c: 30), 1e-9
    assert_in_delta 0.8 * 240 * 2**0.5, Mixing::PotLife.usable_min(product, t_c: 15), 1e-9
    assert_in_delta 0.8 * 240 * 1.5, Mixing::PotLife.usable_min(product, t_c: 10), 1e-9,
                    "cold lengthens it by half at most"
    assert_nil Mixing::PotLife.minutes(product(class: "shellac"), t_c: 20)
  end

  def test_less_hardener_lengthens_it_where_the_sheet_gives_both_ends
    both = product(pot_life_by_hardener: [ [ 12, 180 ], [ 8, 300 ] ])
    assert_equal [ 300.0, 240.0, 180.0 ],
                 [ 8, 10, 12 ].map { |parts| Mixing::PotLife.minutes(both, t_c: 20, hardener_parts: parts) }
    assert_match(/8 to 12/, refusal { Mixing::PotLife.minutes(both, t_c: 20, hardener_parts: 5) }.message)
    assert_in_delta 240, Mixing::PotLife.minutes(product, t_c: 20, hardener_parts: 5), 1e-9, "one figure: fixed"
  end

  def test_epoxy_in_one_pot_warms_itself
    epoxy = product(class: "epoxy_clear")
    assert_in_delta 30, Mixing::PotLife.minutes(epoxy, t_c: 20, batch_g: 100), 1e-9
    assert_in_delta 15, Mixing::PotLife.minutes(epoxy, t_c: 20, batch_g: 500), 1e-9
    assert_in_delta 30, Mixing::PotLife.minutes(epoxy, t_c: 20, batch_g: 40), 1e-9
  end

  # 6 m² at 100 µm are 600 ml net, 857 ml through a gun that lands 70 %; 60 ml stay behind, 10 % margin.
  def test_how_much_to_mix_for_a_sprayed_pass
    laying = Mixing::Laying.for_area(area_m2: 6, wet_um: 100, method: "spray")
    assert_in_delta 600, laying.net_ml, 1e-9
    assert_in_delta 857.14, laying.laid_ml, 0.01
    assert_in_delta (857.14 + 60) * 1.1, laying.gross_ml, 0.01
  end

  def test_guns_and_narrow_work
    net = ->(**more) {
      Mixing::Laying.for_area(area_m2: 1, wet_um: 100, left_behind_ml: 0, margin_percent: 0,
                              **more).gross_ml
    }
    assert_in_delta 250, net.call(method: "spray", gun: "conventional"), 1e-9
    assert_in_delta 100 / 0.42, net.call(method: "spray", narrow: true), 1e-9
    assert_in_delta 100 / 0.95, net.call(method: "brush", narrow: true), 1e-9
  end

  def test_what_is_wiped_off_goes_by_what_is_laid_on
    stained = plan(piece(document(step("s1", "stain", product: "russet", method: "wipe")), area_m2: 2.0))
    laying = Mixing::Laying.of_pass(stained.placements.first.pass)
    assert_in_delta 200, laying.laid_ml, 1e-9
    assert laying.wiped
  end

  def test_film_and_transfer_efficiency_from_the_pot
    # 1.04 g/ml, 2 m², TE 0.7: 297.14 g leave 100 µm.
    assert_in_delta 100,
                    Mixing::Laying.film_um(used_g: 297.142857, density_g_per_ml: 1.04, area_m2: 2,
                                           transfer_efficiency: 0.7),
                    1e-6
    assert_in_delta 0.7,
                    Mixing::Laying.own_efficiency(used_g: 297.142857, density_g_per_ml: 1.04, area_m2: 2, wet_um: 100),
                    1e-6
    assert_in_delta 100, Mixing::Laying.wet_um(104, 1.04), 1e-9
  end

  def test_drops_and_what_their_trend_says
    assert_equal 30, Mixing::Drops.count(1.5)
    assert_equal 24, Mixing::Drops.count(1.5, per_ml: 16)
    assert_equal [ nil, "filling", "missed_dry", "steady" ],
                 [ [ 40 ], [ 40, 28 ], [ 28, 40 ], [ 40, 38 ] ].map { |counts| Mixing::Drops.trend(counts) }
  end

  # 192 of the 240 min count; after an hour at 20 °C the other 132 pass twice as fast at 30 °C: 60 + 66.
  def test_a_pot_in_air_that_warms_sets_sooner
    line = Rhexon::Drying::ClimateTimeline.read(
      {
        "climate" => [
          { "from" => "2026-11-23T06:00+01:00", "t_c" => 20, "rh" => 50 },
          { "from" => "2026-11-23T11:00+01:00", "t_c" => 30, "rh" => 50 }
        ]
      },
      Rhexon::Zone.new("Europe/Berlin")
    )
    from = at("2026-11-23T10:00+01:00")
    assert_equal 126, Mixing::PotLife.usable_until(product, line, from) - from
    assert_nil Mixing::PotLife.usable_until(product(class: "shellac"), line, from)
    ends = product(pot_life_by_hardener: [ [ 8, 300 ], [ 12, 180 ] ])
    steady = Rhexon::Drying::ClimateTimeline.steady(Rhexon::Drying::Climate.new(t_c: 20, rh: 50))
    assert_equal [ 240, 144, 144 ],
                 [ 8, 12, 20 ].map { |parts|
                   Mixing::PotLife.usable_until(ends, steady, from, hardener_parts: parts) -
                     from
                 },
                 "past an end the nearer end counts"
  end
end
