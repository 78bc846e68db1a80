require "test_helper"

# What a build is told to put off, as a value.
class HoldsTest < CoreTest
  NONE = Rhexon::Search::Holds::NONE

  def test_a_hold_is_another_value_and_the_first_stays
    held = NONE.hold(3, 90)
    assert_equal [ 90, nil, nil ], [ held[3], held[4], NONE[3] ]
    assert_equal [ 90, 120 ], held.hold(4, 120).then { |both| [ both[3], both[4] ] }
  end

  def test_a_hold_is_toggled_and_one_without_a_minute_holds_nothing
    assert_nil NONE.hold(3, 90).toggle(3, 50)[3]
    assert_equal 50, NONE.toggle(3, 50)[3]
    assert_same NONE, NONE.toggle(3, nil)
  end

  def test_a_scuff_that_goes_ahead_is_no_hold_of_its_coat
    ahead = NONE.scuff_ahead(3)
    assert ahead.ahead?(3)
    assert_nil ahead[3]
    refute ahead.toggle_scuff(3).ahead?(3)
    assert_equal 90, ahead.hold(3, 90).toggle_scuff(3)[3]
  end
end
