require "test_helper"

# Free hands against the same kept minute by minute.
class LaneTest < CoreTest
  # Open 60 to 200, 300 to 420 and 500 to 900; nothing grows.
  Fixed = Struct.new(:opens, :shuts) do
    def grow = false
    def shut_at?(minute) = shuts.include?(minute)
  end
  GRID = Rhexon::Planning::Lane::GRID

  def hours = Fixed.new([ 60, 300, 500 ], [ 200, 420, 900 ])

  def slot_by_minute(free, from, length)
    (from..(free.size - length)).find do |start|
      (start % GRID).zero? && (start...(start + length)).all? { |minute| free[minute] }
    end
  end

  # A calendar that is asked for more days and has none that are open.
  class Shut < Struct.new(:opens, :shuts, :asked)
    def grow = (self.asked += 1) < 4
    def shut_at?(_minute) = false
  end

  def test_nobody_ever_there_gives_no_hands_whole_or_in_stretches
    lane = Rhexon::Planning::Lane.new(Shut.new([], [], 0))
    assert_nil lane.stretches(60, 30, 4)
    assert_nil lane.slot(60, 30)
  end

  def test_random_work_finds_the_first_gap_on_the_grid
    random = Random.new(5)
    80.times do
      lane = Rhexon::Planning::Lane.new(hours)
      free = Array.new(901) do |minute|
        hours.opens.zip(hours.shuts).any? { |open, shut| minute >= open && minute < shut }
      end
      10.times do
        from, length = random.rand(700), 1 + random.rand(90)
        expected = slot_by_minute(free, from, length)
        found = lane.slot(from, length)
        expected ? assert_equal(expected, found) : assert_nil(found)
        next unless found

        assert lane.free?(found, found + length)
        lane.take(found, found + length)
        (found...(found + length)).each { |minute| free[minute] = false }
        refute lane.free?(found, found + length)
      end
    end
  end

  def test_work_that_may_pause_does_so_only_where_the_hands_close
    lane = Rhexon::Planning::Lane.new(hours)
    assert_equal [ [ 160, 200 ], [ 300, 340 ] ], lane.stretches(160, 20, 4), "two units before closing, two after"
    lane.take(180, 190)
    assert_equal [ [ 300, 380 ] ], lane.stretches(140, 20, 4),
                 "40 min free before other work at 180 do not count: nobody closes there"
  end

  def test_gaps_far_behind_the_last_work_are_left_when_a_lane_looks_back_so_far_only
    near = Rhexon::Planning::Lane.new(hours, 60)
    near.take(560, 600)
    assert_equal 600, near.slot(0, 30), "540 is the farthest back, and 540 to 560 is too short"
    assert_equal 60, Rhexon::Planning::Lane.new(hours).slot(0, 30)
  end
end
