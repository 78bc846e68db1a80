require_relative "build_helper"

# What a pass writes down and takes once it is placed.
class ResourceBookingTest < BuildTest
  def test_its_minutes
    partial = build(model_of(coat("s1")))
    settle(0)
    minutes = %i[start work_start first_end work_end hands_end].map { |name| partial.public_send(name)[0] }
    assert_equal %w[07:30 07:40 07:45 07:45 08:00].map { |time| minute(time) }, minutes
    assert_equal minute("08:00"), partial.ends[0]
  end

  # Six alike pieces: the first is laid after 5 min, the last after 30.
  def test_alike_pieces_are_laid_one_after_the_other
    partial = build(model_of(coat("s1"), piece: { count: 6 }))
    settle(0)
    assert_equal [ minute("07:45"), minute("08:10") ], [ partial.first_end[0], partial.work_end[0] ]
  end

  def test_its_hands_are_taken
    partial = build(model_of(coat("s1")))
    settle(0)
    refute partial.lanes[0].free?(minute("07:30"), minute("07:35"))
    assert partial.lanes[0].free?(minute("08:00"), minute("08:30"))
  end

  def test_pencilled_in_nothing_is_taken_and_all_can_be_forgotten
    partial = build(model_of(coat("s1")))
    assert_equal minute("08:00"), @booking.pencil_in(0, @slots.slot(0))
    assert partial.lanes[0].free?(minute("07:30"), minute("08:00"))
    partial.forget(0..0)
    assert_nil partial.work_end[0]
  end

  # Until it is dust-safe nobody makes dust there.
  def test_a_wet_film_keeps_dust_away
    partial = build(model_of(coat("s1")))
    settle(0)
    safe = partial.rooms[0].wet.clash(minute("07:46"), minute("07:47"))
    assert_equal partial.model.drying.dust_safe[0].at(minute("07:45"), 0), safe
    assert_nil partial.rooms[0].wet.clash(safe, safe + 1)
  end

  # Sanding ends at its hands' end; dust settles 30 min longer, by the house.
  def test_dust_settles_after_sanding
    partial = build(model_of(step("s1", "sand", grits: [ "P180" ])))
    settle(0)
    assert_equal partial.hands_end[0] + partial.model.times.settles[0],
                 partial.rooms[0].dusty.clash(partial.hands_end[0], partial.hands_end[0] + 1)
  end

  def test_the_next_work_takes_it_off_the_rack
    racked = [ { "id" => "bench", "climate" => [ { "t_c" => 20, "rh" => 50 } ], "rack_places" => 1 } ]
    partial = build(model_of(coat("s1", coats: 2), rooms: racked))
    settle(0)
    assert_nil partial.rooms[0].rack.full_until(minute("16:00"), minute("16:01"), 1)
    assert partial.rooms[0].rack.full_until(minute("08:30"), minute("08:31"), 1)
    settle(1)
    assert_equal [ 1 ], partial.lying[0].map(&:first)
  end

  def test_a_scuff_takes_its_hands_and_leaves_dust
    partial = build(model_of(coat("s1", coats: 2)))
    @booking.put_scuff(1, [ minute("12:00"), minute("12:07"), 0, [ "show" ] ])
    refute partial.lanes[0].free?(minute("12:00"), minute("12:05"))
    assert partial.rooms[0].dusty.clash(minute("12:10"), minute("12:11"))
  end
end
