# What all instruments' readings go through: counted, read one by one, refused by their number, kept together.
module Instrument::Taking
  MOST = 2_000
  # Older readings are of no use any more.
  OLDEST = 30.days
  # An instrument's clock may be so far ahead.
  AHEAD = 2.minutes

  # @param instrument [Instrument]
  # @param now [Time]
  def initialize(instrument, now: Time.current)
    @instrument = instrument
    @now = now
  end

  # @param readings [Array<Hash>]
  # @return [Instrument::Report]
  # @raise [Rhexon::InvalidInput] where there is none, or more than are taken at once
  def take!(readings)
    Rhexon.refuse_unless(readings.any?, "There is no reading in it", where: "", accepted: takes)
    Rhexon.refuse_unless(readings.size <= MOST, "#{readings.size} readings are too many at once",
                         where: "readings", accepted: "up to #{MOST}")
    refused = []
    sound = readings.each_with_index.filter_map do |reading, index|
      Rhexon.refuse_unless(reading.is_a?(Hash), "A reading is #{takes}", where: "readings")
      read(reading)
    rescue Rhexon::InvalidInput => refusal
      refused << { "reading" => index + 1, "sentence" => refusal.message }
      nil
    end
    kept = keep_all(sound.sort_by { |one| one[:at] })
    Instrument::Report.new(taken: kept.size, marked: kept.count { |one| one.try(:jump) }, refused: refused)
  end

  private

  def number(value) = Float(value.to_s.tr(",", "."), exception: false)

  def air(reading)
    { t_c: within(reading, "t_c", -20..60, "°C"), rh: within(reading, "rh", 1..100, "% RH") }
  end

  def within(reading, name, range, unit)
    value = number(reading[name])
    Rhexon.refuse_unless(value && range.cover?(value), "#{reading[name].inspect} #{unit} cannot be",
                         where: name, accepted: "#{range.begin} to #{range.end}")
    value.round(2)
  end

  # @param range [Range<Time>]
  # @param accepted [String]
  def instant(text, range, accepted)
    at = text.nil? ? @now : Time.iso8601(text.to_s)
    Rhexon.refuse_unless(range.cover?(at), "#{text.inspect} is no time of #{accepted}",
                         where: "at", accepted: "ISO 8601, #{accepted}")
    at.change(usec: 0)
  rescue ArgumentError
    raise Rhexon::InvalidInput.new("#{text.inspect} is not a time", where: "at", accepted: "ISO 8601")
  end

  def lately = (@now - OLDEST..@now + AHEAD)
end
