# The shop itself: its rooms and their air, its people and hours.
class ShopsController < ApplicationController
  def show
    render inertia: "Shop", props: props
  end

  # The planned work for any calendar.
  def calendar
    floor = ShopFloor.new
    send_data PlanCalendar.new(floor.plan, floor.pieces.to_h { |piece| [ piece.core_id, piece.name ] }).to_s, filename: "rhexon-plan.ics", type: "text/calendar; charset=utf-8"
  end

  def hours
    person = body["person"].present? ? Person.find(body["person"]) : nil
    raise Rhexon::Refusal.new("Hours are missing", where: "week") unless body["week"].is_a?(Hash) && body["days"].is_a?(Array) && body["days"].all?(Hash)

    ShopHours.replace!(person, body["week"], body["days"])
    render json: props
  end

  # Whose hands the plan is made for.
  def hands
    person = Person.find(body["person"])
    Person.transaction { Person.find_each { |other| other.update!(at_bench: other == person) } }
    render json: props
  end

  def room
    room = body["id"].present? ? Room.find(body["id"]) : Room.new
    room.assign_attributes(**body.slice("name", "air"), t_c: body["t_c"], rh: body["rh"], daily: body["daily"].presence)
    raise Rhexon::Refusal.new("A room that schedules name keeps its name", where: "name") if room.persisted? && room.name_changed?
    raise Rhexon::Refusal.new(room.errors.first.message, where: room.errors.first.attribute.to_s) unless room.save

    render json: props
  end

  def measured
    file = params[:file]
    raise Rhexon::Refusal.new("No file came", where: "file", accepted: "a logger's CSV") unless file.respond_to?(:read)

    report = LoggerFile.read!(Room.find(params[:id]), file.read)
    render json: props.merge(report: { hours: report.hours, refused: report.refused.size, first_refused: report.refused.first && "row #{report.refused.first[:row]}: #{report.refused.first[:sentence]}" })
  end

  private

  def props
    { rooms: Room.order(:id).includes(:climate_readings).map { |room| RoomAirSerializer.new(room).to_h }, airs: Rhexon::Reference.table("drying").fetch("air").keys, people: Person.order(:id).map { |person| { id: person.id, name: person.name, at_bench: person.at_bench, **hours_of(person) } }, shop_hours: hours_of(nil) }
  end

  def hours_of(person)
    rows = OpenHour.where(person: person).order(:date, :opens).to_a
    spans = ->(found) { found.select(&:opens).map { |row| "#{row.opens}-#{row.closes}" }.join(", ") }
    { week: (0..6).to_h { |day| [ day.to_s, spans.call(rows.select { |row| row.weekday == day }) ] }, days: rows.select(&:date).group_by(&:date).map { |date, found| { date: date.iso8601, hours: spans.call(found) } } }
  end
end
