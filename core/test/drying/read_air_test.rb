require "test_helper"

# What a reading tells beyond its own hour.
class ReadAirTest < CoreTest
  Air = Struct.new(:t_c, :rh)
  ReadAir = Rhexon::Drying::ReadAir

  # 7 °C above and 14 % RH below what is set: a seventh of it is gone with each hour.
  def test_what_was_read_fades_by_a_seventh_an_hour
    expected = { 0 => [ 27, 46 ], 1 => [ 26, 48 ], 6 => [ 21, 58 ] }
    expected.each do |ahead, (t_c, rh)|
      bent = ReadAir.ahead([ 7, -14 ], Air.new(20, 60), ahead)
      assert_in_delta t_c, bent[0], 1e-9
      assert_in_delta rh, bent[1], 1e-9
    end
    assert_equal [ 1, 100 ], [ -90, 90 ].map { |off| ReadAir.ahead([ 0, off ], Air.new(20, 50), 1).last }
  end

  def test_a_jump_is_more_than_six_degrees_or_a_fifth_of_the_humidity
    read = [ [ 26, 50 ], [ 13.9, 50 ], [ 20, 70.1 ], [ 14, 30 ] ].map { |air| Air.new(*air) }
    assert_equal [ false, true, true, false ], read.map { |air| ReadAir.jump?(air, Air.new(20, 50)) }
  end
end
