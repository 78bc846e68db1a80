require "test_helper"
require "date"

class TriedTest < CoreTest
  Tried = Rhexon::Boards::BoardComparison
  Relook = Rhexon::Boards::Relook

  def products = PRODUCTS.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }

  def steps(*more)
    [ step("s1", "sand", grits: %w[P150 P220]), step("s2", "stain", product: "russet", method: "wipe"), *more ]
  end

  def test_coats_waits_and_looks_are_no_difference
    there = steps(coat("s3", coats: 2))
    here = steps(step("s7", "look"), coat("s3", coats: 1), step("s8", "wait", minutes: 60), coat("s4", coats: 2))
    assert_empty Tried.differences(there, here, products: products)
  end

  def test_another_order_is_one
    there = steps(coat("s3", product: "seal", wet_um: 80), coat("s4"))
    here = steps(coat("s3"), coat("s4", product: "seal", wet_um: 80))
    assert_equal [ "the order is another one" ], Tried.differences(there, here, products: products).map(&:words)
  end

  def test_a_method_used_on_the_board_as_well_is_none
    there = steps(coat("s3", method: "brush", wet_um: 90), coat("s4"))
    assert_empty Tried.differences(there, steps(coat("s5")), products: products)
  end

  def test_promotion_tells_how_much_larger_the_piece_is_and_the_time_to_wipe_off
    result = Rhexon::Boards::Promotion.promote([ step("s1", "stain", product: "umber", method: "wipe") ],
                                               products: products, cell: { area_m2: 0.012, piece_area_m2: 2.4 })
    assert_includes result.differences,
                    "0.012 m² on the board, 2.4 m² here; wipe off within 15 min, in parts if need be"
  end

  # Made on 1 November: 7 days are over on the 8th, 30 on 1 December.
  def test_a_board_is_looked_at_again_after_7_and_30_days
    made = Date.new(2026, 11, 1)
    states = ->(read, today) { Relook.for(made, read, today).map(&:state) }
    assert_equal %w[coming coming], states.([], Date.new(2026, 11, 7))
    assert_equal %w[due coming], states.([ Date.new(2026, 11, 5) ], Date.new(2026, 11, 8)),
                 "a reading of day 4 is none of day 7"
    assert_equal %w[done coming], states.([ Date.new(2026, 11, 9) ], Date.new(2026, 11, 23))
    assert_equal %w[done done], states.([ Date.new(2026, 12, 1) ], Date.new(2026, 12, 2))
    assert_equal Date.new(2026, 12, 1), Relook.for(made, [], made).last.on
  end

  # --- approvals, and spots before full cure

  def test_a_yes_lapses_with_what_is_laid_on_and_not_with_when_or_where
    before = document(*steps(coat("s3", coats: 2)))
    later = document(*steps(
      step("s9", "look"),
      coat("s3", coats: 2, room: "loft", pins: [ { "coat" => 1, "start" => "2026-11-25T10:00+01:00" } ])
    ))
    refute Rhexon::Boards::Approved.stale?(before, later)
    [
      steps(coat("s3", coats: 3)), steps(coat("s3", product: "w80", coats: 2)),
      steps(coat("s3", coats: 2, method: "brush")), steps.reverse + [ coat("s3", coats: 2) ]
    ].each { |other| assert Rhexon::Boards::Approved.stale?(before, document(*other)) }
  end

  # Shellac cures in the class's time; what lies on it and cures longer decides.
  def test_spots_want_full_cure_and_a_look_does_not
    readings = Rhexon::Boards::Readings
    longest = products.values_at("seal", "w20").map { |product| product.milestone("full_cure").value }.max
    assert_equal longest, readings.full_cure_min(steps(coat("s3", product: "seal", wet_um: 80), coat("s4")), products)
    assert readings.early?("water", longest - 1, longest)
    refute readings.early?("water", longest, longest)
    refute readings.early?("gloss", 0, longest)
    assert_nil readings.full_cure_min([ step("s1", "sand", grits: [ "P180" ]) ], products)
    refute readings.early?("water", 0, nil)
  end
end
