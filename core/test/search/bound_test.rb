require "test_helper"

# What no plan can beat, by hand; and latest starts, built forward again.
class BoundTest < CoreTest
  TWO = [ { "id" => "imke", "week" => WEEK }, { "id" => "osei", "week" => WEEK } ].freeze

  # Rooms are free in a bound, so dust that settles is left out.
  def planner(*pieces, house: { "dust_settles_min" => 0 }, **fields)
    Rhexon::Search::Planner.new(Rhexon::Planning::Shop.new(shop_json(*pieces, house: house, **fields)))
  end

  def sanding(id, area) = piece(document(step("s1", "sand", grits: [ "P180" ])), id: id, area_m2: area)

  # One person: three sandings laid end to end from 7:30 end when their hands end.
  def test_hands_laid_end_to_end
    work = planner(sanding("a", 5.0), sanding("b", 5.0), sanding("c", 5.0))
    hands = work.model.times.hands.sum
    assert_equal "hands", work.bound.because
    assert_equal at("2026-11-23T07:30+01:00") + hands, work.bound.ready_at
    assert_equal work.bound.ready_at, work.plan.build.ready.values.max, "and a plan meets it"
  end

  def test_two_people_halve_it
    alone, both = [ nil, TWO ].map { |people|
      planner(*%w[a b c d].map { |id| sanding(id, 5.0) }, **{ people: people }.compact).bound.ready_at -
        at("2026-11-23T07:30+01:00")
    }
    assert_equal (alone / 2.0).ceil, both
  end

  # One piece: its chain is the bound, and the plan meets it to the minute.
  def test_one_piece_is_bound_by_its_chain
    once, thrice = [ 1, 3 ].map { |coats|
      planner(piece(document(step("s1", "sand", grits: [ "P180" ]), coat("s2", coats: coats))))
    }
    assert_equal %w[chain chain], [ once, thrice ].map { |work| work.bound.because }
    [ once, thrice ].each { |work| assert_equal work.plan.build.ready["top"], work.bound.ready_at }
    assert_equal thrice.model.passes.map(&:key), thrice.bound.passes
  end

  # Spraying in a room that holds one pass at a time: two people do not help.
  def test_a_spray_room_binds_two_people
    rooms = [ { "id" => "booth", "uses" => %w[spray finish], "climate" => [ { "t_c" => 20, "rh" => 50 } ] } ]
    pieces = %w[a b c d e].map { |id| piece(document(coat("s1")), id: id, area_m2: 8.0) }
    work = planner(*pieces, rooms: rooms, people: TWO)
    assert_equal "room", work.bound.because
    assert_operator work.plan.build.ready.values.max, :>=, work.bound.ready_at
  end

  # Held to its latest start each pass still makes the target; five minutes more and it does not.
  def test_latest_starts_make_the_target_and_not_a_grid_later
    work = planner(
      piece(
        document(step("s1", "sand", grits: [ "P180" ]), step("s2", "raise_grain"),
                 step("s3", "sand", grits: [ "P220" ]), coat("s4"))
      )
    )
    target = at("2026-11-27T16:00+01:00")
    latest = Rhexon::Search::BackwardPass.starts(work.model, [ target ])
    assert latest.each_cons(2).all? { |one, other| one < other }
    none = Rhexon::Search::Holds::NONE
    held = ->(index, by) { work.construct.dispatch(none.hold(index, latest[index] + by)).ready.first }
    latest.each_index { |index| assert_operator held.call(index, 0), :<=, target, work.model.passes[index].key }
    assert_operator held.call(latest.size - 1, 5), :>, target - 5
    assert_operator held.call(latest.size - 1, 60), :>, target
  end
end
