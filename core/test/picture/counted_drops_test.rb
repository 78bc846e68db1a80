require "test_helper"

# Drops of a rubbed oil, counted at the bench, and what the next coat takes by them.
class CountedDropsTest < CoreTest
  OIL = { "id" => "oil", "name" => "Rubbing oil", "class" => "siccative_oil" }.freeze

  def rows(*drops)
    steps = document(
      step("s1", "oil", product: "oil", method: "wipe", coats: 4),
      step("s2", "look", milestone: "recoat_opens", again: { "steps" => [ "s1" ], "rounds" => 0, "most" => 3 })
    )
    log = drops.each_with_index.map do |count, index|
      at = "2026-11-#{format("%02d", index + 2)}T09:00+01:00"
      { "kind" => "done", "pass" => "top/s1/#{index + 1}/show", "at" => at, "drops" => count }.compact
    end
    shop = Rhexon::Planning::Shop.new(shop_json(piece(steps, area_m2: 0.12), products: [ OIL ], log: log))
    Rhexon::Picture::Sheet.new(Rhexon::Search::Planner.plan(shop), "top").rows
  end

  def expected(*drops) = rows(*drops).filter_map { |row| row.drops && row.drops[:expected] }

  # 0.12 m² at 5 µm is 0.6 ml, 12 drops, and 15 % that the hand keeps: 14; the flood before is not counted in drops.
  def test_as_reckoned_until_one_was_counted
    assert_equal [ 14, 14, 14 ], expected
    assert_equal [ 14, 14, 14 ], expected(nil)
  end

  # 24, then 18: by a quarter less, so 13.5 next.
  def test_the_next_falls_on_as_the_last_ones_fell
    assert_equal 24, rows(nil, 24)[2].drops[:expected]
    third = rows(nil, 24, 18)[3].drops
    assert_equal [ 14, [ 24, 18 ], "filling" ], third.values_at(:expected, :used, :trend)
    assert_equal 33, rows(nil, 18, 30)[3].drops[:expected], "a rising count is followed by a tenth at most"
  end

  def test_the_look_that_sends_it_round_is_told_the_counts
    look = rows(nil, 24, 23).last
    assert_equal [ nil, [ 24, 23 ], "steady" ], look.drops.values_at(:expected, :used, :trend)
    assert_nil rows.last.drops
  end

  def test_a_scuff_that_the_plan_puts_in_takes_none
    steps = document(coat("s1", coats: 2)).merge("house" => { "scuff" => "always" })
    rows = Rhexon::Picture::Sheet.new(plan(piece(steps)), "top").rows
    assert_includes rows.map(&:kind), "scuff"
    assert_empty rows.filter_map(&:drops)
  end
end
