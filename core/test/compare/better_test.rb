require "test_helper"

# What another plan would gain over the one that is kept.
class BetterTest < CoreTest
  Planner = Rhexon::Search::Planner
  Shop = Rhexon::Planning::Shop
  Start = Rhexon::Planning::Start
  Better = Rhexon::Compare::Better

  # Half an hour of sanding each. a is kept for the afternoon, b for the hour after: both could be done by half past
  # eight.
  def setup
    pieces = %w[a b].map { |id|
      piece(document(step("s1", "sand", grits: %w[P180], machine: true)), id: id, area_m2: 25 / 7.5,
                                                                         due: "2026-11-23T12:00+01:00")
    }
    starts = { "a" => "13:00", "b" => "13:30" }.map do |id, clock|
      { "pass" => "#{id}/s1/1/show", "start" => "2026-11-23T#{clock}+01:00", "person" => "imke" }
    end
    @kept = shop_json(*pieces).merge("effort" => "kept", "previous" => starts)
  end

  def better(kept = @kept) = Better.new(made(kept), made(kept.merge("effort" => "quick", "previous" => [])))
  def made(json) = Planner.plan(Shop.new(json))

  # a: 13:30 to 08:00 is 330 min sooner, b: 14:00 to 08:30 as much.
  def test_dates_that_are_kept_and_the_mean_of_readiness_are_gains
    better = better()
    assert_equal [ %w[a b], 330.0, 0 ], [ better.dates, better.ready_min, better.hands_min ]
    assert_equal [ [ "a", -330 ], [ "b", -330 ] ], better.ready.map { |id, was, now| [ id, now - was ] }
    assert_nil better.chance, "each as soon as it may, in the order of either plan: none is surer"
    assert_predicate better, :enough?
  end

  def test_what_moves_is_told_with_both_times
    assert_equal [ [ "a/s1/1/show", 330 ], [ "b/s1/1/show", 330 ] ],
                 better.moves.map { |move| [ move.key, move.from - move.to ] }
  end

  # Ten minutes sooner each is not worth asking for.
  def test_a_little_is_not_offered
    starts = { "a" => "07:40", "b" => "08:10" }.map do |id, clock|
      { "pass" => "#{id}/s1/1/show", "start" => "2026-11-23T#{clock}+01:00", "person" => "imke" }
    end
    little = better(@kept.merge("previous" => starts))
    assert_equal [ [], 10.0, false ], [ little.dates, little.ready_min, little.enough? ]
  end

  # 90 to 75 of a hundred loses more than the ten points that would be a gain the other way round.
  def test_a_date_that_gets_less_sure_is_no_gain
    offered = lambda do |was, now|
      better.tap { |one| one.define_singleton_method(:chances) { [ was, now ] } }.enough?
    end
    assert_equal [ false, true ], [ offered.(0.9, 0.75), offered.(0.9, 0.85) ]
  end

  def test_a_date_that_would_be_lost_is_no_gain
    worse = Better.new(made(@kept.merge("effort" => "quick", "previous" => [])), made(@kept))
    refute_predicate worse, :enough?
  end
end
