require_relative "build_helper"

# Passes that must catch a hard window are placed in one go, or not at all.
class HardWindowPlacementTest < BuildTest
  def place(partial)
    windows = Search::HardWindowPlacement.new(partial, @slots, @scuffs, @booking)
    windows.place(partial.model.blocks[0])
    partial
  end

  # A square metre and a fifth would be wiped in turns.
  SMALL = { area_m2: 0.6 }.freeze
  STAIN = { product: "umber", method: "wipe", wipe_off: true }.freeze

  # Wiped off by the sheet of its class between 5 and 15 minutes after it was laid.
  def test_stain_is_wiped_off_by_the_same_hands_in_its_time
    partial = place(build(model_of(step("s1", "stain", **STAIN), piece: SMALL)))
    assert_equal [ 0, 0 ], partial.who
    closing = partial.model.drier.closing(partial.model.passes[0], "wipe_off_latest")
    assert_operator partial.work_start[1], :<=, closing.at(partial.work_start[0])
    assert_operator partial.work_end[1], :<=, closing.at(partial.work_end[0])
    assert_operator partial.work_start[1], :>=, partial.work_end[0]
  end

  # Twenty minutes before closing there is no time to wipe: both go into the morning.
  def test_both_or_neither_before_closing
    partial = build(model_of(step("s1", "stain", **STAIN), piece: SMALL))
    partial.lanes[0].take(minute("07:30"), minute("16:10"))
    place(partial)
    assert_equal [ minute("07:30", 24), 24 ],
                 [ partial.start[0], Rhexon::Zone.new("Europe/Berlin").date(partial.start[1]).day ]
  end

  def test_coats_of_one_batch_end_before_the_pot_sets
    partial = place(build(model_of(coat("s1", coats: 2, one_batch: true))))
    pot = Rhexon::Mixing::PotLife.usable_until(
      partial.model.passes[0].product, partial.model.shop.line("bench"), partial.start[0]
    )
    assert_operator partial.work_end[1], :<=, pot
  end

  # Four coats, each an hour and a half after the one before, outlast a pot of four hours.
  def test_what_no_day_can_catch_is_blocked_once_and_for_all
    model = model_of(coat("s1", coats: 4, one_batch: true))
    blocked = assert_raises(Search::Blocked) { place(build(model)) }
    assert_equal [ :hard_window, 3 ], [ blocked.constraint, blocked.index ]
    assert model.out_of_reach[0]
  end
end
