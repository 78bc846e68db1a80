# The button of a stand-in is pressed: it reads what it is held on and sends that, as a real one does by itself.
class Instrument::Press
  # @param instrument [Instrument] of the hand, a stand-in
  # @param near [Array<Numeric>, nil] what it is held on, where the bench knows what should be there
  def initialize(instrument, near)
    @instrument = instrument
    @near = near
  end

  # @return [Instrument::Report]
  # @raise [Rhexon::InvalidInput] in words, where it does not answer
  def press!(now: Time.current)
    reading = device.reading(now: now)
    value = Array(reading.value)
    fields = @instrument.kind == "colour" ? %w[l a b].zip(value).to_h : { "value" => value.first }
    @instrument.take!([ { **fields, "at" => reading.at.iso8601 } ], now: now)
  rescue Devices::Instrument::Silent => error
    raise Rhexon::InvalidInput.new(error.message, where: "instrument", accepted: "typed readings meanwhile")
  end

  private

  def measure = Instrument::Hand::MEASURES.fetch(@instrument.kind)

  def device
    Devices::SimulatedInstrument.new(@instrument.name, measure.device, seed: Random.new_seed).tap do |one|
      one.hold(there)
      one.fault = @instrument.stand_in
    end
  end

  def there
    known = @near&.size == Array(measure.usual).size && @near.all? { |value| measure.range.cover?(value) }
    if known && @near.any?(&:positive?)
      @near.one? ? @near.first : @near
    else
      measure.usual
    end
  end
end
