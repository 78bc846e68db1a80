require "test_helper"

# Lights, eye and spectra against published figures.
class SpectrumTest < CoreTest
  def light(id) = Rhexon::Colour::Light.find(id)

  # CIE 15, table of D65 and A at 400, 500, 600, 700 nm.
  def test_published_powers_of_daylight_and_of_a
    {
      "D65" => [ 82.7549, 109.354, 90.0062, 71.6091 ], "A" => [ 14.7080, 59.8611, 129.043, 198.261 ],
      "D50" => [ 49.25, 95.72, 97.69, 91.60 ]
    }.each do |id, expected|
      found = [ 400, 500, 600, 700 ].map { |nm| light(id).power[(nm - 400) / 10] }
      expected.zip(found).each { |wanted, power| assert_in_delta wanted, power, id == "A" ? 0.02 : 0.25, id }
    end
  end

  # White points of ASTM E308 for the 2 degree eye; the analytic eye and the ends at 400 and 700 nm cost half a unit.
  def test_published_white_points
    {
      "D65" => [ 95.047, 100, 108.883 ], "D50" => [ 96.422, 100, 82.521 ], "A" => [ 109.850, 100, 35.585 ]
    }.each do |id, white|
      white.zip(light(id).white).each { |wanted, found| assert_in_delta wanted, found, 0.6, id }
    end
  end

  # Peaks of the CIE 1931 curves: y is 0.995 at 560 nm, z 1.772 at 450, x 1.062 at 600 and 0.336 at 450.
  def test_the_eye_meets_the_published_curves
    x, y, z = Rhexon::Colour::Spectrum.eye
    {
      [ y, 560 ] => 0.995, [ z, 450 ] => 1.77211, [ x, 600 ] => 1.0622, [ x, 450 ] => 0.3362, [ y, 500 ] => 0.323
    }.each { |(curve, nm), wanted|
      assert_in_delta wanted,
                      curve[(nm - 400) / 10], 0.03, nm.to_s
    }
  end

  def test_a_perfect_white_and_a_grey
    white = Array.new(31, 1.0)
    grey = Array.new(31, 0.184187)
    Rhexon::Colour::Light.all.each do |light|
      assert_in_delta 100, Rhexon::Colour::Spectrum.lab(white, light)[0], 1e-9
      [ 50.0, 0.0, 0.0 ].zip(Rhexon::Colour::Spectrum.lab(grey, light)).each do |wanted, found|
        assert_in_delta wanted, found, 1e-3
      end
    end
  end

  def test_a_light_shows_its_white_as_the_screens_white
    Rhexon::Colour::Light.all.each do |light|
      assert_equal [ "#ffffff", true ], Rhexon::Colour::Lab.screen(light.white, light.white)
    end
    hex, inside = Rhexon::Colour::Lab.screen([ 20, 60, 10 ], light("D65").white)
    assert_match(/\A#00/, hex)
    refute inside
  end

  # Lab of the sRGB primary red: 53.24, 80.09, 67.20.
  def test_lab_of_a_known_xyz_and_back
    found = Rhexon::Colour::Lab.of_xyz([ 41.24, 21.26, 1.93 ], Rhexon::Colour::Lab::WHITE_D65)
    [ 53.24, 80.09, 67.20 ].zip(found).each { |wanted, value| assert_in_delta wanted, value, 0.05 }
    [ 41.24, 21.26, 1.93 ].zip(Rhexon::Colour::Lab.xyz(found)).each do |wanted, value|
      assert_in_delta wanted, value, 1e-9
    end
    [ 0.5, 0.4, 0.2 ]
      .zip(Rhexon::Colour::Lab.xyz(Rhexon::Colour::Lab.of_xyz([ 0.5, 0.4, 0.2 ], Rhexon::Colour::Lab::WHITE_D65)))
      .each { |wanted, value| assert_in_delta wanted, value, 1e-9 }
  end

  def test_a_spectrum_from_a_reading_has_that_colour_and_stays_a_reflectance
    [ [ 82.5, 3, 15.5 ], [ 46.5, 7, 14.5 ], [ 30, 20, -40 ], [ 50, -30, 10 ], [ 5, 1, 1 ], [ 96, 0, 3 ] ].each do |lab|
      Rhexon::Colour::Light.all.each do |light|
        spectrum = Rhexon::Colour::Reflectance.from_lab(lab, light)
        lab.zip(Rhexon::Colour::Spectrum.lab(spectrum, light)).each do |wanted, found|
          assert_in_delta wanted, found, 1e-4, "#{lab} #{light.id}"
        end
        assert spectrum.all? { |value| value.between?(0, 1) }
      end
    end
    assert_match(/No surface has the colour/,
                 refusal { Rhexon::Colour::Reflectance.from_lab([ 50, 120, -120 ], light("D65")) }.message)
  end

  def test_a_grey_reads_as_a_flat_spectrum
    spectrum = Rhexon::Colour::Reflectance.from_lab([ 50, 0, 0 ], light("D65"))
    assert_in_delta 0.1842, spectrum.min, 1e-3
    assert_in_delta 0.1842, spectrum.max, 1e-3
  end

  def test_what_is_no_light_and_no_reflectance_is_refused
    assert_match(/light "moon" is not known/, refusal { Rhexon::Colour::Light.find("moon") }.message)
    assert_match(/no reflectance/, refusal { Rhexon::Colour::Spectrum.check([ 0.5 ] * 30) }.message)
    assert_match(/no reflectance/, refusal { Rhexon::Colour::Spectrum.check([ 1.5 ] * 31) }.message)
  end
end
