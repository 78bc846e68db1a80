require "icalendar"

# The planned work of the shop as a calendar file: a session of hands is an event, a board to be looked at again a day.
class Plan::Calendar
  # @param plan [Rhexon::Planning::Plan]
  # @param names [Hash{String=>String}] piece id => name
  def initialize(plan, names)
    @plan = plan
    @names = names
  end

  # @return [String] iCalendar (RFC 5545), times in UTC
  def to_s
    calendar = Icalendar::Calendar.new
    calendar.prodid = "-//Rhexon//plan//EN"
    calendar.append_custom_property("X-WR-CALNAME", Shop.current.name)
    rows.each { |row| row.hands.each_with_index { |span, index| calendar.add_event(event(row, span, index)) } }
    looks_again.each { |again| calendar.add_event(day(again.look, again)) }
    calendar.publish
    calendar.to_ical
  end

  private

  def rows
    @plan.shop
      .pieces
      .flat_map { |piece| Rhexon::Picture::Sheet.new(@plan, piece.id).rows }
      .select { |row| row.status != "done" && row.hands.any? }
  end

  # Boards whose second and third looks are still to come or due.
  def looks_again
    today = @plan.shop.zone.date(@plan.shop.now)
    Board.looks_again(today).reject { |again| again.look.state == "done" }
  end

  def day(look, board)
    Icalendar::Event.new.tap do |event|
      event.uid = "look-#{board.id}-#{look.days}@rhexon"
      event.dtstamp = utc(@plan.shop.now)
      event.dtstart = Icalendar::Values::Date.new(look.on.strftime("%Y%m%d"))
      event.summary = "Look again after #{look.days} days: #{board.name}"
    end
  end

  def event(row, (from, till), index)
    Icalendar::Event.new.tap do |event|
      event.uid = "#{Digest::SHA256.hexdigest("#{row.key}/#{index}").first(32)}@rhexon"
      event.dtstamp = utc(@plan.shop.now)
      event.dtstart = utc(from)
      event.dtend = utc(till)
      event.summary = "#{row.label}: #{@names.fetch(row.placement.pass.piece.id)}"
      event.location = row.room
      event.description = notes(row).join("\n")
    end
  end

  def notes(row)
    pass = row.placement.pass
    wet = "#{pass.wet_um} µm wet" if pass.wet_um
    laid_on = "#{row.laid_on_ml} ml" if row.laid_on_ml
    [
      pass.product && [ pass.product.name, wet, laid_on ].compact.join(", "),
      row.window_closes_at && "Window below shuts #{@plan.shop.zone.label(row.window_closes_at)}",
      *row.cautions.map(&:text)
    ].compact
  end

  def utc(minute) = Icalendar::Values::DateTime.new(Time.at(minute * 60).utc, "tzid" => "UTC")
end
