# Takes in what a weather line says of the hours to come: the room that lies in the weather follows it.
class Instrument::Forecast
  include Instrument::Taking

  BACK = 1.hour
  FORWARD = 48.hours

  private

  def takes = "t_c, rh and the hour it is of"

  def read(reading)
    hours = (@now - BACK..@now + FORWARD)
    { at: instant(reading["at"], hours, "the next 48 hours").beginning_of_hour, **air(reading) }
  end

  def keep_all(sound)
    rows = sound.index_by { |one| one[:at] }.values.map { |one| row(one) }
    ClimateReading.upsert_all(rows, unique_by: %i[room_id kind at]) if rows.any?
    keep_last(sound.first) if sound.any?
    @instrument.room.climate_readings.reset
    sound
  end

  def row(one)
    { room_id: @instrument.room_id, kind: "forecast", at: one[:at], until: one[:at] + 1.hour, t_c: one[:t_c],
      rh: one[:rh].round(1), air: @instrument.room.air, created_at: @now }
  end

  # When it spoke last, and of what: one row a line.
  def keep_last(one)
    @instrument.readings.delete_all
    @instrument.readings.create!(at: @now.change(usec: 0), t_c: one[:t_c], rh: one[:rh])
  end
end
