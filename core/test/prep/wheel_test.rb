require "test_helper"

class WheelTest < CoreTest
  # rpm = 60 v / (pi D): a 356 mm wheel at 8 and 15 m/s turns 429 and 805 times a minute; 700 is 13 m/s.
  def test_turns_and_speed_of_a_wheel
    assert_equal [ 429, 805 ], Rhexon::Prep::Wheel.rpm_range(356)
    assert_in_delta 13.05, Rhexon::Prep::Wheel.rim_m_per_s(700, 356), 0.01
    refute Rhexon::Prep::Wheel.too_fast?(800, 356)
    assert Rhexon::Prep::Wheel.too_fast?(1400, 356)
  end

  def findings(**fields)
    polish = step("s2", "polish", grits: %w[compound-fine], polish_on: "wheel", **fields)
    made = plan(piece(document(coat("s1", product: "lacquer", coats: 3), polish)))
    Rhexon::Checks::Catalogue.findings(made, "top").select { |finding| finding.id == "rub.wheel" }
  end

  def test_a_rim_that_runs_too_fast_is_told_with_what_keeps_to_it
    finding = findings(wheel_mm: 356, wheel_rpm: 1400).first
    assert_match(/runs 26 m\/s/, finding.sentence)
    assert_equal 617, finding.remedies.first.operation.dig("set", "wheel_rpm")
    assert_empty findings(wheel_mm: 356, wheel_rpm: 617)
    assert_empty findings
    assert_empty findings(wheel_mm: 150, wheel_rpm: 1400), "a small wheel may turn faster"
  end
end
