require "test_helper"

# The stand-ins of colour reader and gloss meter behave as real ones do, their failures included.
class InstrumentTest < ActiveSupport::TestCase
  def gloss
    @gloss ||= Devices::SimulatedInstrument.new("Gloss meter", "gloss", seed: 4).tap { |meter| meter.hold(30.0) }
  end

  def touches(count) = Array.new(count) { gloss.reading(now: Time.current).value }

  test "touches scatter about what is there, in tenths" do
    values = touches(400)
    assert_in_delta 30, values.sum / values.size, 0.1
    assert_in_delta 0.6, Math.sqrt(values.sum { |value| (value - 30)**2 } / values.size), 0.15
    assert(values.all? { |value| (value * 10 % 1).abs < 1e-6 || (value * 10 % 1) > 1 - 1e-6 })
  end

  test "the same seed scatters the same" do
    again = Devices::SimulatedInstrument.new("Gloss meter", "gloss", seed: 4).tap { |meter| meter.hold(30.0) }
    assert_equal touches(5), Array.new(5) { again.reading(now: Time.current).value }
  end

  test "it fails in the ways that are asked for, and never below zero" do
    assert_raises(Devices::Instrument::Silent) do
      Devices::SimulatedInstrument.new("Reader", "lab").reading(now: Time.current)
    end
    gloss.fault = "out_of_range"
    assert_match(/out of its range/,
                 assert_raises(Devices::Instrument::Silent) { gloss.reading(now: Time.current) }.message)
    gloss.fault = "jump"
    assert_operator touches(1).first, :>, 80
    gloss.fault = "stale"
    before = gloss.reading(now: Time.current)
    assert_equal before, gloss.reading(now: 1.hour.from_now)
    gloss.fault = "whatever"
    assert_equal "none", gloss.fault
    gloss.hold(0.0)
    assert_operator touches(50).min, :>=, 0
  end
end
