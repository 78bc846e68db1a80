# The shop itself: its rooms and their air, its people and hours.
class ShopsController < ApplicationController
  keeps_sound :hours, :person, :tool, :goal, :house, :room, :measured
  takes :hours, person: :whole, week: :table, days: :list
  takes :person, id: :whole, name: :name, at_bench: :flag, skills: :names
  takes :tool, id: :whole, name: :name, used_for: :name
  takes :goal, goal: :name
  takes :house, rule: :name, value: :typed
  takes :room, id: :whole, name: :name, air: :name, uses: :names, rack_places: :whole, t_c: :typed, rh: :typed,
               daily: :list
  takes :measured, file: :file

  def show
    render inertia: "Shop", props: props
  end

  # The planned work for any calendar.
  def calendar
    floor = ShopFloor.new
    text = floor.draw do |plan|
      PlanCalendar.new(plan, floor.pieces.to_h { |piece| [ piece.core_id, piece.name ] }).to_s
    end
    send_data text, filename: "rhexon-plan.ics", type: "text/calendar; charset=utf-8"
  end

  def hours
    person = body["person"].present? ? Person.find(body["person"]) : nil
    unless body["week"].is_a?(Hash) && body["days"].is_a?(Array) && body["days"].all?(Hash)
      raise Rhexon::InvalidInput.new("Hours are missing", where: "week")
    end

    ShopHours.replace!(person, body["week"], body["days"])
    render json: props
  end

  # Somebody new, or what somebody may do and whether the plan counts on them.
  def person
    record = body["id"].present? ? Person.find(body["id"]) : Person.new
    record.assign_attributes({ **body.slice("name", "at_bench").compact, **body.slice("skills") })
    refuse_empty_bench!(record)
    refuse_renamed!(record)
    keep!(record)
  end

  # What plans aim at.
  def goal
    names = Rhexon::Search::Goal::NAMES
    Rhexon.refuse_unless(
      names.include?(body["goal"]), "A plan cannot aim at #{body["goal"].inspect}", where: "goal",
      accepted: names.join(", ")
    )
    Shop.current.update!(goal: body["goal"])
    render json: { goal: body["goal"] }
  end

  # Where finishers disagree: the shop's own way, unless a schedule says otherwise.
  def house
    Shop.current.rule!(body["rule"], body["value"])
    render json: props
  end

  def tool
    return keep!(taken_up || Tool.new(name: body["name"], used_for: body["used_for"] || "spray")) if body["id"].blank?

    Tool.find(body["id"]).take_away!
    render json: props
  end

  def room
    room = body["id"].present? ? Room.find(body["id"]) : Room.new
    room.assign_attributes(
      **body.slice("name", "air", "uses", "rack_places"), t_c: body["t_c"], rh: body["rh"],
                                                          daily: body["daily"].presence
    )
    refuse_renamed!(room)
    keep!(room)
  end

  def measured
    file = body["file"]
    raise Rhexon::InvalidInput.new("No file came", where: "file", accepted: "a logger's CSV") unless file

    report = LoggerFile.read!(Room.find(params[:id]), file.read)
    render json: props.merge(report: {
                               hours: report.hours, refused: report.refused_rows,
                               first_refused: report.refused.first &&
                                 "row #{report.refused.first[:row]}: #{report.refused.first[:sentence]}"
                             })
  end

  private

  def keep!(record)
    unless record.save
      raise Rhexon::InvalidInput.new(record.errors.first.message, where: record.errors.first.attribute.to_s)
    end

    render json: props
  end

  # A retired tool of that name is taken up again.
  def taken_up
    Tool.find_by(name: body["name"].to_s)&.then { |tool| tool.tap { tool.retired_at = nil } if tool.retired? }
  end

  # Schedules, pins and the log go by names.
  def refuse_renamed!(record)
    if record.persisted? && record.name_changed?
      raise Rhexon::InvalidInput.new("#{record.name_was} is named in schedules and the log and keeps that name",
                                     where: "name")
    end
  end

  def refuse_empty_bench!(person)
    if !person.at_bench && Person.at_bench.where.not(id: person.id).none?
      raise Rhexon::InvalidInput.new(
        "Somebody has to work at the bench", where: "at_bench", accepted: "at least one person"
      )
    end
  end

  def props
    {
      rooms: Room.order(:id).includes(:climate_readings).map { |room| RoomAirSerializer.new(room).to_h },
      airs: Rhexon::Reference.table("drying").fetch("air").keys,
      people: Person.order(:id).map { |person|
        { id: person.id, name: person.name, at_bench: person.at_bench, skills: person.skills, **hours_of(person) }
      },
      trained_work: Person.trained_work,
      tools: Tool.offered.order(:id).map { |tool| { id: tool.id, name: tool.name, used_for: tool.used_for } },
      uses: Room::USES, shop_hours: hours_of(nil), house: Rhexon::Planning::Shop::HOUSE.merge(Shop.current.house)
    }
  end

  def hours_of(person)
    rows = OpenHour.where(person: person).order(:date, :opens).to_a
    spans = ->(hours) { hours.select(&:opens).map { |row| "#{row.opens}-#{row.closes}" }.join(", ") }
    {
      week: (0..6).to_h { |day| [ day.to_s, spans.call(rows.select { |row| row.weekday == day }) ] },
      days: rows.select(&:date).group_by(&:date).map { |date, hours|
        { date: date.iso8601, hours: spans.call(hours) }
      }
    }
  end
end
