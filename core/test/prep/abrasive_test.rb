require "test_helper"

class AbrasiveTest < CoreTest
  def read(text) = Rhexon::Prep::Abrasive.read(text)

  def test_the_same_number_is_not_the_same_grain
    assert_equal [ 46.2, 36 ], [ read("P320"), read("320") ].map(&:mean_um)
    assert_equal "P1200", read("600").counterpart.to_s
    assert_equal "360", read("P500").counterpart.to_s
    assert_equal "P240", read("p 240").to_s
  end

  def test_what_is_no_grit_is_refused
    assert_match(/P320, or 320/, refusal { read("fine") }.message)
    assert_match(/There is no P333/, refusal { read("P333") }.message)
  end
end
