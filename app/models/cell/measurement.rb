# A reading taken with an instrument: the mean of several touches, kept with the instrument's name.
class Cell::Measurement
  # @param cell [Cell]
  # @param measure [String] "lab" or "gloss"
  def initialize(cell, measure)
    @cell = cell
    @measure = measure
    @instrument = Devices.instrument(measure) or
      raise Rhexon::InvalidInput.new(
        "No instrument reads #{measure.inspect}", where: "measure",
        accepted: Rhexon::Boards::ReplicateReadings.measures.join(" or ")
      )
  end

  # @return [Reading]
  # @raise [Rhexon::InvalidInput] when the instrument is silent or its touches do not agree
  def record!(client_id:, observer:, light:, now:)
    @instrument.hand&.hold(there)
    touches = Array.new(Rhexon::Boards::ReplicateReadings.count) { @instrument.reading(now: now) }
    Rhexon.refuse_unless(
      touches.all? { |touch| (now - touch.at).abs < Devices::Instrument::STALE_S },
      "The #{@instrument.name.downcase} has said nothing new", where: @measure, accepted: "a reading of now"
    )
    value = Rhexon::Boards::ReplicateReadings.mean(@measure, touches.map(&:value))
    Reading.record!(cell: @cell, client_id: client_id, kind: @measure, value: value, observer: observer, light: light,
                    instrument: @instrument.name, taken_at: now)
  rescue Devices::Instrument::Silent => silent
    raise Rhexon::InvalidInput.new(silent.message, where: @measure)
  end

  private

  # What a stand-in is held on: the look that is predicted, as this one piece of timber has it.
  def there
    looks = LooksState.new(@cell.board.wood, @cell.layers)
    timber = Random.new(@cell.board_id)
    if @measure == "lab"
      return (looks.last_lab || [ 60.0, 8.0, 20.0 ]).map { |value| value + (timber.rand - 0.5) * 2 }
    end

    (looks.last_gloss || 6.0) * (0.92 + timber.rand * 0.16)
  end
end
