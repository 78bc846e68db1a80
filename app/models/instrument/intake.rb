# Takes in what an instrument has sent: refused or marked where it cannot be or jumps; the air of its room follows.
class Instrument::Intake
  T_C, RH = (-20.0..60.0), (1.0..100.0)
  # An instrument's clock may be so far ahead.
  AHEAD = 2.minutes
  # Older readings are of no use any more.
  OLDEST = 30.days
  # Readings further apart tell of no jump.
  JUMP_WITHIN = 15.minutes
  MOST = 2_000

  # @!attribute taken, marked [Integer]
  # @!attribute refused [Array<Hash>] "reading" (its number, from 1) and "sentence"
  Report = Struct.new(:taken, :marked, :refused, keyword_init: true)

  # @param instrument [Instrument]
  # @param now [Time]
  def initialize(instrument, now: Time.current)
    @instrument = instrument
    @now = now
  end

  # @param readings [Array<Hash>] "t_c", "rh" and "at" (ISO 8601; left out: now)
  # @return [Report]
  # @raise [Rhexon::InvalidInput] where there is none, or more than are taken at once
  def take!(readings)
    Rhexon.refuse_unless(readings.any?, "There is no reading in it", where: "", accepted: "t_c and rh")
    Rhexon.refuse_unless(readings.size <= MOST, "#{readings.size} readings are too many at once",
                         where: "readings", accepted: "up to #{MOST}")
    refused = []
    sound = readings.each_with_index.filter_map do |reading, index|
      read(reading)
    rescue Rhexon::InvalidInput => refusal
      refused << { "reading" => index + 1, "sentence" => refusal.message }
      nil
    end
    kept = ApplicationRecord.transaction { sound.sort_by { |one| one[:at] }.map { |one| keep(one) } }
    Room::MeasuredAir.new(@instrument.room, now: @now).follow!(kept.map(&:at)) if kept.any?
    Report.new(taken: kept.size, marked: kept.count(&:jump), refused: refused)
  end

  private

  def read(reading)
    Rhexon.refuse_unless(reading.is_a?(Hash), "A reading is t_c and rh", where: "readings")
    t_c, rh = reading.values_at("t_c", "rh").map { |value| Float(value.to_s.tr(",", "."), exception: false) }
    Rhexon.refuse_unless(t_c && T_C.cover?(t_c), "#{reading["t_c"].inspect} °C cannot be", where: "t_c",
                                                                                        accepted: "-20 to 60")
    Rhexon.refuse_unless(rh && RH.cover?(rh), "#{reading["rh"].inspect} % RH cannot be", where: "rh",
                                                                                     accepted: "1 to 100")
    { at: instant(reading["at"]), t_c: t_c.round(2), rh: rh.round(2) }
  end

  def instant(text)
    at = text.nil? ? @now : Time.iso8601(text.to_s)
    Rhexon.refuse_unless(at.between?(@now - OLDEST, @now + AHEAD), "#{text.inspect} is no time of the last 30 days",
                         where: "at", accepted: "ISO 8601, not in the future")
    at.change(usec: 0)
  rescue ArgumentError
    raise Rhexon::InvalidInput.new("#{text.inspect} is not a time", where: "at", accepted: "ISO 8601")
  end

  # The same moment again is the same reading.
  def keep(one)
    known = @instrument.readings.find_by(at: one[:at])
    return known if known

    before = @instrument.readings.where(at: (one[:at] - JUMP_WITHIN)...one[:at]).last
    reading = @instrument.readings.build(one)
    reading.jump = !before.nil? && Rhexon::Drying::ReadAir.jump?(reading, before)
    # What stays where it jumped to was none.
    before.update!(jump: false) if before&.jump && !reading.jump
    reading.tap(&:save!)
  end
end
