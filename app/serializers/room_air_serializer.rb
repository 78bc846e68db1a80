# A room as it is set, and its air over the days around now.
class RoomAirSerializer < ApplicationSerializer
  BACK = 12.hours
  AHEAD = 36.hours

  fields id: :number, name: :string, t_c: :number, rh: :number, air: :string, uses: "string[]",
         rack_places: [ :number, { nullable: true } ]
  typelize daily: [ "Array<{ at: string; t_c: number; rh: number; air?: string }>", { nullable: true } ],
           line: "Array<{ from: number; t_c: number; rh: number; air: string }>", logged: :number, from: :number,
           to: :number
  attribute(:daily) { |room| room.daily.presence }
  attribute(:logged) { |room| room.climate_readings.count { |reading| reading.kind == "logger" } }
  attribute(:from) { |_| BACK.ago.to_i / 60 }
  attribute(:to) { |_| AHEAD.from_now.to_i / 60 }
  attribute(:line) do |room|
    Rhexon::Picture::AirLine.for(room.line, BACK.ago.to_i / 60, AHEAD.from_now.to_i / 60).map(&:to_h)
  end
  many :instruments, resource: InstrumentSerializer
end
