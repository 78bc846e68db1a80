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
