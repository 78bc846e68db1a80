require "test_helper"

# Places on a rack against a count minute by minute.
class RackTest < CoreTest
  Rack = Rhexon::Search::Rack

  def test_a_full_rack_says_when_the_first_place_comes_free
    rack = Rack.new(4)
    rack.put(0, 100, 3, 1)
    rack.put(50, 200, 1, 2)
    assert_nil rack.full_until(0, 40, 1), "one place is left before 50"
    assert_equal 100, rack.full_until(60, 90, 1)
    assert_equal 100, rack.full_until(0, 60, 1), "it would meet the fourth piece at 50"
    assert_nil rack.full_until(100, 300, 3)
    assert_equal 200, rack.full_until(100, 300, 4)
    refute rack.holds?(5)
  end

  def test_the_next_pass_takes_its_pieces_off
    rack = Rack.new(2)
    rack.put(0, 100, 2, 7)
    rack.take(7, 40)
    assert_nil rack.full_until(40, 60, 2)
    assert_equal 40, rack.full_until(20, 60, 1)
    rack.take(7, 90)
    assert_equal 40, rack.full_until(20, 60, 1), "once taken off it is gone"
  end

  def test_random_loads_never_overfill
    random = Random.new(3)
    40.times do
      rack, load = Rack.new(10), Array.new(400, 0)
      15.times do |owner|
        from, count = random.rand(200), 1 + random.rand(5)
        to = from + 1 + random.rand(80)
        fits = load[from...to].max + count <= 10
        assert_equal fits, rack.full_until(from, to, count).nil?
        next unless fits

        rack.put(from, to, count, owner)
        (from...to).each { |minute| load[minute] += count }
      end
    end
  end
end
