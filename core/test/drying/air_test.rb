require "test_helper"

class AirTest < CoreTest
  # Buck (1996) over water: 0.61121 kPa at 0 °C; 2.3388 kPa at 20 °C.
  def test_saturation
    assert_in_delta 0.61121, Rhexon::Drying::Air.saturation_kpa(0), 1e-6
    assert_in_delta 2.3383, Rhexon::Drying::Air.saturation_kpa(20), 0.001
  end

  def test_dew_point_is_the_inverse_of_saturation
    [ [ 20, 50 ], [ 5, 80 ], [ 32, 30 ], [ -3, 90 ] ].each do |t_c, rh|
      dew = Rhexon::Drying::Air.dew_point_c(t_c, rh)
      assert_in_delta Rhexon::Drying::Air.saturation_kpa(t_c) * rh / 100, Rhexon::Drying::Air.saturation_kpa(dew), 1e-9
    end
    assert_in_delta 9.27, Rhexon::Drying::Air.dew_point_c(20, 50), 0.02
  end

  def test_saturated_air_has_its_dew_point_at_its_own_temperature
    assert_in_delta 17.0, Rhexon::Drying::Air.dew_point_c(17, 100), 1e-6
  end
end
