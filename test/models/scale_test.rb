require "test_helper"

# The stand-in behaves like a bench scale, at times that are passed in.
class ScaleTest < ActiveSupport::TestCase
  setup do
    @scale = Devices::SimulatedScale.new(resolution_g: 0.1)
    @now = MONDAY
  end

  def at(seconds) = @now + seconds
  def grams(seconds) = @scale.reading(now: at(seconds)).grams

  test "it lags, settles and shows steps of its resolution" do
    @scale.zero(now: at(0))
    @scale.put(100, now: at(1))
    assert_operator grams(1.1), :<, 60
    refute @scale.reading(now: at(1.2)).stable
    assert_in_delta 100, grams(5), 0.11
    assert @scale.reading(now: at(5)).stable
    assert_equal grams(6), grams(6).round(1)
  end

  test "pouring goes on a little after the hand stops" do
    @scale.zero(now: at(0))
    @scale.pour(50, now: at(0))
    @scale.stop(now: at(2))
    assert_in_delta 100 + 50 * Devices::SimulatedScale::DRIBBLE_S, grams(10), 0.2
  end

  test "it drifts from its zero" do
    @scale.zero(now: at(0))
    assert_in_delta 1.2, grams(1800), 0.2
    @scale.zero(now: at(1801))
    assert_in_delta 0, grams(1802), 0.11
  end

  test "it fails the ways a real one does" do
    @scale.put(50, now: at(0))
    steady = grams(5)
    @scale.fault = "stale"
    @scale.put(100, now: at(6))
    assert_equal [ steady, at(5) ], @scale.reading(now: at(20)).then { |reading| [ reading.grams, reading.at ] }
    @scale.fault = "disconnected"
    assert_raises(Devices::Scale::Silent) { @scale.reading(now: at(21)) }
    assert_raises(Devices::Scale::Silent) { @scale.zero(now: at(21)) }
    @scale.fault = "none"
    @scale.put(9000, now: at(22))
    assert_match(/over its 6000 g/, assert_raises(Devices::Scale::Silent) { @scale.reading(now: at(30)) }.message)
  end
end
