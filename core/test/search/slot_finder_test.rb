require_relative "build_helper"

# The first place for one pass in what is left free.
class SlotFinderTest < BuildTest
  def test_an_empty_shop_takes_it_as_it_opens
    build(model_of(coat("s1")))
    slot = @slots.slot(0)
    assert_equal [ minute("07:30"), 0, :hands ], [ slot.start, slot.who, slot.why ]
  end

  # Laid at 07:45, opens 09:15; ten minutes of setting up come before: 09:05.
  def test_a_coat_waits_for_the_one_below
    build(model_of(coat("s1", coats: 2)))
    settle(0)
    assert_equal minute("09:05"), @slots.earliest(1)
    assert_equal [ minute("09:05"), :milestone ], @slots.slot(1).to_a.values_at(0, 4)
  end

  def test_what_is_held_starts_no_sooner
    build(model_of(coat("s1")), Search::Holds::NONE.hold(0, minute("10:00")))
    assert_equal minute("10:00"), @slots.slot(0).start
  end

  def test_hands_that_are_taken_put_it_off_and_it_is_told_since_when
    partial = build(model_of(coat("s1")))
    partial.lanes[0].take(minute("07:30"), minute("08:15"))
    slot = @slots.slot(0)
    assert_equal [ minute("08:15"), :late, minute("07:30") ], [ slot.start, slot.why, slot.asked ]
  end

  def test_the_first_who_is_free_gets_it
    people = %w[imke osei].map { |id| { "id" => id, "week" => WEEK } }
    partial = build(model_of(coat("s1"), people: people))
    partial.lanes[0].take(minute("07:30"), minute("12:00"))
    assert_equal [ minute("07:30"), 1 ], @slots.slot(0).to_a.first(2)
  end

  # 30 minutes of hands do not fit before 16:30.
  def test_hands_do_not_straddle_closing_time
    partial = build(model_of(coat("s1")))
    partial.lanes[0].take(minute("07:30"), minute("16:10"))
    assert_equal minute("07:30", 24), @slots.slot(0).start
  end

  BOOTH = [ { "id" => "booth", "uses" => %w[spray finish], "climate" => [ { "t_c" => 20, "rh" => 50 } ] } ].freeze

  def test_a_room_for_one_pass_at_a_time
    partial = build(model_of(coat("s1"), rooms: BOOTH))
    partial.rooms[0].lane.take(minute("07:30"), minute("09:00"))
    slot = @slots.slot(0)
    assert_equal [ minute("09:00"), :room ], [ slot.start, slot.why ]
    assert_equal minute("07:30"), slot.asked
  end

  # Dust stands until 08:10: the film is laid from then on, so setting up begins at 08:00.
  def test_a_film_is_not_laid_into_dust
    partial = build(model_of(coat("s1")))
    partial.rooms[0].dusty.add(minute("07:00"), minute("08:10"))
    slot = @slots.slot(0)
    assert_equal [ minute("08:00"), :dust ], [ slot.start, slot.why ]
  end

  # The dust of a sanding would settle on a film that is wet until 10:00.
  def test_no_dust_over_a_wet_film
    partial = build(model_of(step("s1", "sand", grits: [ "P180" ])))
    partial.rooms[0].wet.add(minute("07:00"), minute("10:00"))
    work = @slots.slot(0).start + partial.model.times.setup[0]
    assert_equal minute("10:03"), work, "set up from 10:00 on, on the grid"
  end

  def test_a_full_rack
    racked = [ { "id" => "bench", "climate" => [ { "t_c" => 20, "rh" => 50 } ], "rack_places" => 2 } ]
    partial = build(model_of(coat("s1"), rooms: racked))
    partial.rooms[0].rack.put(minute("07:00"), minute("11:00"), 2, :other)
    slot = @slots.slot(0)
    assert_equal [ minute("10:50"), :rack ], [ slot.start, slot.why ]
  end

  def test_for_the_bound_rooms_and_dust_are_free
    partial = build(model_of(coat("s1"), rooms: BOOTH), relaxed: true)
    partial.rooms[0].lane.take(minute("07:30"), minute("09:00"))
    partial.rooms[0].dusty.add(minute("07:00"), minute("12:00"))
    assert_equal minute("07:30"), @slots.slot(0).start
  end

  def test_a_pin_before_its_piece_is_free_lapses
    model = model_of(coat("s1", coats: 2, pins: [ { "coat" => 2, "start" => "2026-11-23T07:35+01:00" } ]))
    partial = build(model)
    partial.reserved[1] = Search::PartialSchedule::Reservation.new(0, nil)
    settle(0)
    assert_equal 1, catch(:lapsed) { @slots.slot(1) }.index
  end

  def test_what_never_opens_is_blocked
    build(model_of(coat("s1", product: "varnish", method: "brush", coats: 2), t_c: 1))
    settle(0)
    blocked = assert_raises(Search::Blocked) { @slots.slot(1) }
    assert_equal [ :milestone, 1 ], [ blocked.constraint, blocked.index ]
  end
end
