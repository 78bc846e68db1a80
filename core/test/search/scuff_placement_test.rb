require_relative "build_helper"

# Whether a film is scuffed before the next coat, and when.
class ScuffPlacementTest < BuildTest
  # Laid at 07:45, the window shuts twelve hours later, at 19:45.
  def laid(**house)
    model = model_of(coat("s1", coats: 2), house: house.transform_keys(&:to_s))
    build(model).tap { settle(0) }
  end

  def test_within_the_window_nothing_is_scuffed_and_after_it_is
    laid
    refute @scuffs.scuff_first?(1, minute("19:45"))
    assert @scuffs.scuff_first?(1, minute("19:46"))
  end

  def test_a_house_that_never_scuffs_still_does_when_the_window_is_lost
    laid(scuff: "none")
    refute @scuffs.scuff_first?(1, minute("12:00"))
    assert @scuffs.scuff_first?(1, minute("08:00", 24))
  end

  def test_a_house_that_scuffs_after_a_night_does_so_on_the_next_day_only
    laid(scuff: "after_a_night")
    refute @scuffs.scuff_first?(1, minute("16:00"))
    assert @scuffs.scuff_first?(1, minute("00:05", 24))
  end

  def test_a_house_that_always_scuffs
    laid(scuff: "always")
    assert @scuffs.scuff_first?(1, minute("10:00"))
  end

  # The next morning: the shop opens at 07:30, the scuff comes first, its dust settles, then the coat.
  def test_it_goes_right_before_the_coat_and_its_dust_settles_between
    partial = laid
    model = partial.model
    coat = @slots.first_fit(1, minute("07:30", 24), :hands)
    made = @scuffs.with_scuff(1, minute("07:30", 24), coat)
    start, finish, who, faces = made.scuff
    assert_equal [ minute("07:30", 24), 0, [ "show" ] ], [ start, who, faces ]
    assert_equal finish - start, model.times.scuff_of(1, [ "show" ])
    assert_operator made.start + model.times.setup[1], :>=, finish + model.times.settles[1]
    assert_operator made.start, :<, finish + model.times.settles[1], "and no longer than that"
  end

  def test_dust_that_is_drawn_off_at_once_needs_no_gap
    partial = laid(dust_settles_min: 0)
    coat = @slots.first_fit(1, minute("07:30", 24), :hands)
    made = @scuffs.with_scuff(1, minute("07:30", 24), coat)
    assert_equal 0, @scuffs.gap(1)
    assert_operator made.start - made.scuff[1], :<, Rhexon::Planning::Lane::GRID
    assert_operator made.start, :>=, made.scuff[1]
    assert_nil partial.scuff[1], "nothing is taken yet"
  end
end
