require "test_helper"

class DimensionsTest < CoreTest
  def m2(text) = Rhexon::Areas::Dimensions.m2(text)

  # 1.6 x 0.75; 63 x 29.5 in of 25.4 mm; pi 0.3²; 6 x 1.6 x 0.4
  def test_sizes_as_they_are_read_off_a_rule
    {
      "1600 x 750 mm" => 1.2, "1600x750" => 1.2, "160 × 75 cm" => 1.2, "1,6 m x 750 mm" => 1.2,
      "5' 3\" x 29 1/2 in" => 1.19903, "5 ft x 2 ft" => 0.929030, "round 600 mm" => 0.282743, "ø 60 cm" => 0.282743,
      "6 x 1600 x 400 mm" => 3.84, "1600 x 750 + 4 x 700 x 60 mm" => 1.368, "12 x 12 in" => 0.092903
    }.each { |text, area| assert_in_delta area, m2(text), 1e-6, text }
  end

  # pi 0.025 0.9; pi (0.04 + 0.025)/2 hypot(0.7, 0.0075); 2 (0.24 + 0.12 + 0.18); 0.24 + 2 1.0 0.3; 2 2.35 0.025;
  # 1.6 0.75 - 1.4 0.55; 0.6 0.4 1.25
  def test_shapes_by_their_names
    {
      "rod 25 x 900 mm" => 0.070686, "12 spindles 25 x 900" => 0.848230, "4 legs 2 in x 28 in" => 0.454010,
      "taper 40 x 25 x 700" => 0.071475, "box 600 x 400 x 300" => 1.08, "open box 600 x 400 x 300" => 0.84,
      "edges of 1600 x 750 x 25" => 0.1175, "frame 1600 x 750 x 100" => 0.43, "profiled 600 x 400" => 0.3,
      "2 rounds 600 mm" => 0.565487, "1600 x 750 + 4 legs 60 x 700" => 1.727788
    }.each { |text, area| assert_in_delta area, m2(text), 1e-5, text }
  end

  def test_a_shape_with_other_lengths_is_refused
    [ "rod 25", "box 600 x 400", "taper 40 x 700", "round 600 x 400", "frame 100" ].each do |text|
      assert_match(/is no size/, refusal { m2(text) }.message, text)
    end
  end

  def test_what_is_no_size_is_refused_with_what_is
    [ "x", "1600 x", "big x small", "1600 x 750 furlongs", "2 x 3 x 4 x 5", "0 x 750", "1.5 x 2 x 3 m", "1/0 x 2",
      "+" ].each do |text|
      assert_match(/is no size\. Accepted: 1600 x 750 mm/, refusal { m2(text) }.message, text)
    end
  end

  # A unit that stands once is meant for both sides: 63 x 29 in, 1.6 x 0.75 m.
  def test_a_unit_that_stands_once_holds_for_both_sides
    assert_in_delta 1.178707, m2("63 in x 29"), 1e-6
    assert_in_delta 1.2, m2("1600 mm x 750"), 1e-9
    assert_in_delta 1.2, m2("1.6 M x 0.75"), 1e-9
  end

  def test_a_comma_that_can_be_both_is_asked_about
    assert_match(/1,600 may be 1\.600 or 1600/, refusal { m2("1,600 x 750 mm") }.message)
    assert_in_delta 1.2, m2("1,6 m x 750 mm"), 1e-9
  end

  def test_a_plain_number_is_no_size
    refute Rhexon::Areas::Dimensions.size?("1.2")
    [ "1600x750", "round 600", "5' by 2", "120 cm", "1.2 + 3" ].each do |text|
      assert Rhexon::Areas::Dimensions.size?(text), text
    end
  end
end
