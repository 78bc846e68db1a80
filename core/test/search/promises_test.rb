require "test_helper"

# Due dates as promises, and what goes before what.
class PromisesTest < CoreTest
  # Half an hour for 25/7.5 m²: 15 min a pass of two grits, by machine.
  def sanded(id, **fields)
    piece(document(step("s1", "sand", grits: %w[P180], machine: true)), id: id, area_m2: 25 / 7.5, **fields)
  end

  def order(plan) = plan.placements.map { |one| one.pass.piece.id }.uniq

  def test_urgent_first_and_what_has_time_last
    pieces = [ sanded("a", priority: "when_time"), sanded("b"), sanded("c", priority: "urgent") ]
    assert_equal %w[c b a], order(plan(*pieces))
    Rhexon::Search::Goal::NAMES.each do |goal|
      ready = plan(*pieces, goal: goal).build.ready
      assert_operator ready["c"], :<=, ready["b"], goal
    end
  end

  # One of two is late whatever comes first, b by half an hour, a by half an hour: an urgent one is not.
  def test_what_is_late_is_what_counts_least
    due = "2026-11-23T08:00+01:00"
    first = ->(a, b) { order(plan(sanded("a", due: due, priority: a), sanded("b", due: due, priority: b))).first }
    assert_equal "b", first.("normal", "urgent")
    assert_equal "a", first.("urgent", "normal")
    assert_equal "b", first.("when_time", "normal")
  end

  # Both coats dry for the same time and either order keeps both dates: a with two days to spare, b with an hour if it
  # goes second, half an hour more if it goes first. What has least to spare goes first.
  def test_the_promise_that_is_kept_least_surely_goes_first
    soon = plan(coated("a"), coated("b")).build.ready["b"]
    pieces = [ coated("a", due: iso(soon + 2 * 1440)), coated("b", due: iso(soon + 30)) ]
    kept = plan(*pieces, goal: "promises")
    assert_equal [ "b", 0 ], [ order(kept).first, kept.build.late_min ]
    chance = ->(made) { Rhexon::Chance::Outlook.new(made, runs: 200).share_by("b", made.piece("b").due) }
    other = plan(*pieces.map { |piece| piece.except("due") }, goal: "soonest")
    assert_equal "a", order(other).first
    assert_operator chance.(kept), :>, chance.(plan(*pieces, goal: "soonest", previous: starts(other)))
  end

  # Nothing dries: half an hour of sanding spreads by 0.15 x 30 = 4.5 min (drying.yml, hand_sd), of which 1.645 keep a
  # date on nineteen days of twenty (7.4 min).
  def test_a_margin_by_hand
    margins = Rhexon::Search::Margins.new(plan(sanded("a")).model)
    assert_in_delta 1.645 * 0.15 * 30, margins[0], 0.05
  end

  def test_an_unknown_priority_is_refused
    error = assert_raises(Rhexon::InvalidInput) { plan(sanded("a", priority: "now")) }
    assert_match(/urgent, normal or when_time/, error.message)
  end

  private

  def coated(id, **fields) = piece(document(coat("s1", coats: 2)), id: id, **fields)
  def iso(minute) = Rhexon::Zone.new("Europe/Berlin").iso(minute)

  def starts(plan)
    plan.placements.map do |one|
      { "pass" => one.pass.key, "start" => plan.shop.zone.iso(one.hands_start), "person" => one.person }
    end
  end
end
