require "test_helper"

class MoistureTest < CoreTest
  MOISTURE = Rhexon::Prep::Moisture

  # USDA Wood Handbook, table 4-2: 21.1 °C at 30, 50, 65, 80 %; 4.4 °C and 37.8 °C at 50 %.
  def test_what_wood_comes_to_in_the_air_of_a_place
    [
      [ 21.1, 30, 6.2 ], [ 21.1, 50, 9.2 ], [ 21.1, 65, 12.0 ], [ 21.1, 80, 16.0 ], [ 4.4, 50, 9.5 ], [ 37.8, 50, 8.7 ]
    ].each { |t_c, rh, percent| assert_in_delta percent, MOISTURE.equilibrium(t_c, rh), 0.06, "#{t_c} °C #{rh} %" }
  end

  def says(*readings, **given) = MOISTURE.verdict(readings, target: 9.2, **given)&.says

  def test_what_readings_say
    assert_nil MOISTURE.verdict([], target: 9.2)
    assert_equal "right", says(9.0, 9.6, 8.8)
    assert_equal "off", says(12.0, 11.8, 11.6)
    assert_equal "uneven", says(8.0, 9.5, 11.2)
    assert_equal "unmeasured", says(9.0, 9.2)
    assert_equal "right", says(9.0, area_m2: 0.05), "one is enough for a small part"
    assert_equal "wet", says(16.0, 15.2, 15.9)
    assert_equal "off", says(14.0, 14.2, 14.4)
    # Outdoors, target 14: 18 is the most, and never above 20.
    outdoors = ->(mean, target) { MOISTURE.verdict([ mean ] * 3, target: target, indoors: false).says }
    assert_equal %w[off wet wet], [ outdoors.(17.5, 14), outdoors.(18.5, 14), outdoors.(20.5, 18) ]
  end

  # Pfaff and Garrahan's formula by hand: 12 % read in wood of 0 °C: (12 + 0.567) / 0.881 = 14.26; at 40 °C
  # (12 + 0.567 - 1.04 + 0.0816) / (0.881 · 1.0056^40 = 1.1015) = 10.54; at 20 °C it is near what was read.
  def test_a_pin_meter_is_corrected_for_the_warmth_and_the_kind_of_wood
    assert_in_delta 14.26, MOISTURE.corrected(12, t_c: 0), 0.01
    assert_in_delta 10.54, MOISTURE.corrected(12, t_c: 40), 0.01
    assert_in_delta 12.2, MOISTURE.corrected(12, t_c: 20), 0.1
    assert_equal [ 12.0, 12.8, 11.5 ], [ nil, 0.8, -0.5 ].map { |points| MOISTURE.corrected(12, points: points) }
    assert_equal 0.0, MOISTURE.corrected(0.5, points: -3)
  end
end
