require "icalendar"

# The dates of a handover as a calendar file (RFC 5545): from when it bears what, and when a fresh coat is due.
class Handover::Calendar
  # @param state [HandoverState]
  def initialize(state)
    @state = state
  end

  # @return [String] iCalendar, times in UTC
  def to_s
    calendar = Icalendar::Calendar.new
    calendar.prodid = "-//Rhexon//handover//EN"
    calendar.append_custom_property("X-WR-CALNAME", @state.title)
    @state.told.each do |piece|
      piece[:dates].each { |date| calendar.add_event(event(piece, date)) if date[:at] }
      calendar.add_event(renewal(piece)) if piece.dig(:care, :renew_on)
    end
    calendar.publish
    calendar.to_ical
  end

  private

  def event(piece, date)
    Icalendar::Event.new.tap do |event|
      event.uid = "handover-#{piece[:id]}-#{date[:id]}@rhexon"
      event.dtstamp = utc(Time.current.to_i / 60)
      event.dtstart = utc(date[:at])
      event.dtend = utc(date[:at])
      event.summary = "#{piece[:name]}: #{date[:says].sub(/^./, &:downcase)}"
    end
  end

  def renewal(piece)
    Icalendar::Event.new.tap do |event|
      event.uid = "handover-#{piece[:id]}-renewal@rhexon"
      event.dtstamp = utc(Time.current.to_i / 60)
      event.dtstart = Icalendar::Values::Date.new(Date.iso8601(piece.dig(:care, :renew_on)).strftime("%Y%m%d"))
      event.summary = "#{piece[:name]}: see whether a fresh coat is due"
      event.description = (piece.dig(:care, :due) + piece.dig(:care, :renew)).join("\n")
    end
  end

  def utc(minute) = Icalendar::Values::DateTime.new(Time.at(minute * 60).utc, "tzid" => "UTC")
end
