require "test_helper"

class MilestonesTest < CoreTest
  def milestones(klass, t_c: 20, rh: 50, air: "ordinary", method: nil, wet_um: nil, earlier: 0, stack: nil, **record)
    product = Rhexon::Materials::Product.new({ "id" => "p", "class" => klass }.merge(record.transform_keys(&:to_s)))
    method ||= product.methods_known.first
    wet_um ||= product.wet_um(method)&.value
    coat = Rhexon::Drying::Milestones::Coat.new(product: product, method: method, wet_um: wet_um, earlier_coats: earlier, stack_dry_um: stack)
    Rhexon::Drying::Milestones.new(coat, Rhexon::Drying::Climate.new(t_c: t_c, rh: rh, air: air))
  end

  def test_at_the_sheets_own_air_and_film_the_sheet_holds
    assert_in_delta 90, milestones("waterborne_two_part")["recoat_opens"].minutes, 1e-9
  end

  # exp(42000/8.314462 · (1/283.15 - 1/293.15)) = exp(5051.4 · 0.00012047) = 1.838
  def test_lacquer_at_ten_degrees_takes_1_84_times_as_long_and_does_not_mind_damp
    assert_in_delta 45 * 1.838, milestones("nitro_lacquer", t_c: 10)["recoat_opens"].minutes, 0.1
    assert_in_delta 45 * 1.838, milestones("nitro_lacquer", t_c: 10, rh: 85)["recoat_opens"].minutes, 0.1
  end

  # es(20) · 0.50 / (es(18.5) · 0.42) = 2.3383 · 0.50 / (2.1295 · 0.42) = 1.307
  def test_waterborne_in_a_cool_damp_room
    found = milestones("waterborne_one_part", t_c: 18.5, rh: 58)["recoat_opens"]
    assert_in_delta 120 * 1.307, found.minutes, 0.3
    assert_in_delta 1.098, found.factors[:temperature], 0.001
    assert_in_delta 1.190, found.factors[:humidity], 0.001
  end

  def test_in_saturated_air_water_takes_six_times_as_long_at_most
    assert_in_delta 720, milestones("waterborne_one_part", rh: 100)["recoat_opens"].minutes, 1e-6
    assert_in_delta 720, milestones("waterborne_one_part", rh: 99.5)["recoat_opens"].minutes, 1e-6
  end

  # exp(55000/8.314462 · 0.00012047) = 2.219; at 70 %: · (1 + 0.006 · 20) = 1.12
  def test_varnish_is_slowed_by_cold_and_damp
    assert_in_delta 960 * 2.219, milestones("oil_varnish", t_c: 10)["recoat_opens"].minutes, 1
    assert_in_delta 960 * 1.12, milestones("oil_varnish", rh: 70)["recoat_opens"].minutes, 1e-6
    assert_in_delta 960, milestones("oil_varnish", rh: 30)["recoat_opens"].minutes, 1e-6
  end

  def test_varnish_below_five_degrees_waits_for_ever
    assert_predicate milestones("oil_varnish", t_c: 4.9)["recoat_opens"].minutes, :infinite?
  end

  # Cure of two-part: exp(50000/8.314462 · 0.00012047) = 2.064
  def test_cure_of_two_part_goes_by_chemistry_not_by_water
    found = milestones("waterborne_two_part", t_c: 10, rh: 80)["full_cure"]
    assert_in_delta 20_160 * 2.064, found.minutes, 20
    assert_in_delta 1.0, found.factors[:humidity], 1e-9
  end

  def test_air_helps_only_while_the_carrier_leaves
    moving = milestones("nitro_lacquer", air: "moving")
    assert_in_delta 36, moving["recoat_opens"].minutes, 1e-9
    assert_in_delta 120, moving["handle"].minutes, 1e-9
    assert_in_delta 56.25, milestones("nitro_lacquer", air: "still")["recoat_opens"].minutes, 1e-9
  end

  def test_warm_dry_moving_air_never_more_than_halves_the_time
    found = milestones("waterborne_one_part", t_c: 35, rh: 25, air: "cabinet")["recoat_opens"]
    assert_in_delta 60, found.minutes, 1e-6
  end

  # (150/100)^1.3 = 1.694 lacquer; (130/100)^1.2 = 1.370 waterborne; varnish wet 170 on 85: 2^1.5 = 2.83
  def test_thick_coats_dry_slower
    assert_in_delta 45 * 1.694, milestones("nitro_lacquer", wet_um: 150)["recoat_opens"].minutes, 0.1
    assert_in_delta 120 * 1.370, milestones("waterborne_one_part", method: "spray", wet_um: 130)["recoat_opens"].minutes, 0.1
    assert_in_delta 960 * 2.828, milestones("oil_varnish", method: "brush", wet_um: 170)["recoat_opens"].minutes, 1
  end

  def test_the_film_factor_is_clamped_between_half_and_three
    assert_in_delta 135, milestones("nitro_lacquer", wet_um: 400)["recoat_opens"].minutes, 1e-9
    assert_in_delta 120 * 0.5, milestones("waterborne_one_part", method: "spray", wet_um: 20)["sand"].minutes, 1e-9
  end

  def test_a_two_part_cures_at_its_own_pace_whatever_its_film
    found = milestones("waterborne_two_part", wet_um: 150)
    assert_in_delta 20_160, found["full_cure"].minutes, 1e-9
    assert_in_delta 90 * 1.5**1.2, found["recoat_opens"].minutes, 0.01
  end

  # Each earlier coat within 24 h adds 12 %: the third takes 1.24 times as long; capped at 2.5.
  def test_later_coats_of_an_evaporative_stack_dry_slower
    assert_in_delta 45 * 1.24, milestones("nitro_lacquer", earlier: 2)["recoat_opens"].minutes, 1e-9
    assert_in_delta 45 * 2.5, milestones("nitro_lacquer", earlier: 20)["recoat_opens"].minutes, 1e-9
    assert_in_delta 120, milestones("waterborne_one_part", method: "spray", earlier: 5)["recoat_opens"].minutes, 1e-9
  end

  # One usual coat is 100 · 0.20 = 20 µm dry; a stack of 90 µm: (90 / 40)^0.5 = 1.5
  def test_the_rub_out_of_a_thick_lacquer_stack_waits_for_its_solvent
    assert_in_delta 20_160 * 1.5, milestones("nitro_lacquer", stack: 90.0)["rub_out"].minutes, 1e-6
    assert_in_delta 20_160, milestones("nitro_lacquer", stack: 20.0)["rub_out"].minutes, 1e-6
  end

  def test_no_milestone_comes_before_the_one_it_rests_on
    found = milestones("epoxy_clear")
    assert_in_delta 300, found["recoat_opens"].minutes, 1e-9, "epoxy opens at 180 min on the sheet, touch is 300"
    assert_equal "touch", found["recoat_opens"].bound_by
  end

  def test_the_ledger_rows_sum_to_the_time_in_this_shop
    found = milestones("waterborne_one_part", method: "spray", t_c: 14, rh: 71, air: "still", wet_um: 85)["sand"]
    assert_in_delta found.minutes, found.ledger.sum(&:last), 1e-9
    assert_equal %i[sheet temperature humidity air film coat shop], found.ledger.map(&:first)
  end

  # Closing: 12 h at 20 °C; at 30 °C by Arrhenius 50 kJ/mol: exp(6013.6 · (1/303.15 - 1/293.15)) = 0.508; cold gives nothing.
  def test_warmth_shortens_the_window_and_cold_never_lengthens_it
    assert_in_delta 720, milestones("waterborne_two_part").closing.at(0), 1e-9
    assert_in_delta 720 * 0.508, milestones("waterborne_two_part", t_c: 30).closing.at(0), 1
    assert_in_delta 720, milestones("waterborne_two_part", t_c: 8, rh: 90, air: "still").closing.at(0), 1e-9
    assert_nil milestones("shellac").closing
  end

  def test_a_sheet_stated_at_another_air_is_the_reference
    found = milestones("nitro_lacquer", t_c: 23, rh: 50, sheet_at: { "t_c" => 23, "rh" => 50 })
    assert_in_delta 45, found["recoat_opens"].minutes, 1e-9
  end

  def test_climate_that_cannot_be_is_refused
    assert_match(/Humidity cannot be 130/, refusal { Rhexon::Drying::Climate.new(t_c: 20, rh: 130) }.message)
    assert_match(/still, ordinary/, refusal { Rhexon::Drying::Climate.new(t_c: 20, rh: 50, air: "gale") }.message)
  end
end
