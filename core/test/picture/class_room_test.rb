require "test_helper"

# A class at work: thirty people, eight boards each, one loft with a rack.
class ClassRoomTest < CoreTest
  STEPS = [ { "id" => "s1", "kind" => "sand", "grits" => %w[P120 P180] },
            { "id" => "s2", "kind" => "coat", "product" => "seal", "method" => "brush", "wet_um" => 70, "coats" => 1,
              "role" => "seal" },
            { "id" => "s3", "kind" => "coat", "product" => "w20", "method" => "brush", "wet_um" => 80, "coats" => 3,
              "role" => "top" } ].freeze
  PLACES = 120

  def class_of(size, log: [], now: "2026-11-23T07:30+01:00")
    people = (1..size).map { |nth| { "id" => "s#{nth}", "week" => WEEK } }
    pieces = (1..size).map do |nth|
      piece(document(*STEPS, dry_room: "loft"), id: "p#{nth}", count: 8, area_m2: 0.04, by: "s#{nth}")
    end
    rooms = [ { "id" => "bench", "climate" => [ { "t_c" => 20, "rh" => 50 } ] },
              { "id" => "loft", "rack_places" => PLACES, "uses" => [ "dry" ],
                "climate" => [ { "t_c" => 20, "rh" => 50 } ] } ]
    json = shop_json(*pieces, rooms: rooms, log: log, now: now).merge("people" => people)
    Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(json))
  end

  def room(plan) = Rhexon::Picture::ClassRoom.new(plan, plan.shop.pieces.map(&:id))

  def done(nth, pass, from, till)
    [ [ "started", from ], [ "done", till ] ].map do |kind, time|
      { "kind" => kind, "pass" => "p#{nth}/#{pass}/show", "at" => "2026-11-23T#{time}+01:00", "person" => "s#{nth}" }
    end
  end

  def test_thirty_times_eight_boards_are_planned_each_by_its_own_hands_and_the_rack_holds
    plan = class_of(30)
    assert_empty plan.build.blocked
    assert(plan.placements.all? { |one| one.person.nil? || one.person == one.pass.piece.by })
    assert_equal 30, room(plan).places.size
    rack = room(plan).racks.first
    assert_equal [ "loft", PLACES, 0 ], [ rack.room, rack.places, rack.now ]
    assert_operator rack.most, :<=, PLACES
    assert_operator rack.most, :>, PLACES / 2, "two hundred and forty boards want it"
  end

  # Three of five have sanded and sealed, one has sanded, one has not begun: the middle has done two passes.
  def test_who_is_where_what_dries_where_and_who_is_behind
    log = (1..3).flat_map { |nth| done(nth, "s1/1", "08:00", "08:20") + done(nth, "s2/1", "08:30", "08:40") } +
      done(4, "s1/1", "08:00", "08:30")
    all = room(class_of(5, log: log, now: "2026-11-23T08:45+01:00"))
    assert_equal 5, all.steps.size
    assert_equal %w[s1 s2 s3 s4 s5], all.places.map(&:person)
    assert_equal [ 0, 0, 0, 1, 2 ], all.places.map(&:behind)
    assert_equal %w[done done planned planned planned], all.places.first.states
    assert_equal "loft", all.places.first.dries.first
    assert_equal [ nil, nil ], all.places.last(2).map(&:dries)
    assert_match(/\ASeal/, all.places[3].row.label)
  end

  def test_each_sees_their_own_bench
    plan = class_of(3, log: done(1, "s1/1", "08:00", "08:20") + done(1, "s2/1", "08:30", "08:40"),
                       now: "2026-11-23T08:45+01:00")
    mine, theirs, all = [ "s1", "s2", nil ].map { |hands| Rhexon::Picture::Bench.new(plan, hands: hands) }
    assert_equal [ %w[p1], %w[p2] ], [ mine, theirs ].map { |bench|
      bench.upcoming.map { |row|
        row.placement.pass.piece.id
      }.uniq
    }
    assert_equal [ 1, 0, 1 ], [ mine, theirs, all ].map { |bench| bench.drying.size }
    assert_equal [ [ "s1" ], [ "s2" ], %w[s1 s2 s3] ], [ mine, theirs, all ].map(&:people)
    assert_equal 3, all.upcoming.map { |row| row.placement.pass.piece.id }.uniq.size
  end
end
