# The air of a room as its instruments read it: hours that were read, and the hours to come, which bend back to what
# the room is set to.
class Room::MeasuredAir
  # Smaller differences leave the line, and so the plans, as they are.
  LEAST_C, LEAST_RH = 0.3, 1.5
  private_constant :LEAST_C, :LEAST_RH

  # @param room [Room]
  # @param now [Time]
  def initialize(room, now: Time.current)
    @room = room
    @now = now
  end

  # @param times [Array<Time>] of readings that came in
  def follow!(times)
    hours = times.map(&:beginning_of_hour).uniq
    Room.transaction do
      hours.each { |hour| (mean = mean(hour)) && put("logger", hour, *mean) }
      bend!(hours.max) if hours.max >= @now - 2.hours
    end
    @room.climate_readings.reset
  end

  private

  # @return [Array(Float, Float), nil] of what was read in that hour, jumps left out
  def mean(hour)
    readings = Instrument::AirReading.sound.where(instrument: Instrument.where(room: @room), at: hour...hour + 1.hour)
    t_c, rh = readings.pick(Arel.sql("avg(t_c)"), Arel.sql("avg(rh)"))
    t_c && [ t_c, rh ]
  end

  # The difference to what the room is set to fades over the hours to come.
  def bend!(hour)
    read = mean(hour) or return
    set = @room.set_air_at(hour)
    off = [ read[0] - set.t_c, read[1] - set.rh ]
    (1..Rhexon::Drying::ReadAir::FADES_H).each do |ahead|
      at = hour + ahead.hours
      put("forecast", at, *Rhexon::Drying::ReadAir.ahead(off, @room.set_air_at(at), ahead))
    end
  end

  def put(kind, at, t_c, rh)
    known = @room.climate_readings.find_by(kind: kind, at: at)
    return if known && (known.t_c - t_c).abs < LEAST_C && (known.rh - rh).abs < LEAST_RH

    ClimateReading.upsert({ room_id: @room.id, kind: kind, at: at, until: at + 1.hour, t_c: t_c.round(2),
                            rh: rh.round(1), air: @room.air, created_at: @now }, unique_by: %i[room_id kind at])
  end
end
