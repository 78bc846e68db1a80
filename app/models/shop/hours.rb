# When the shop is open, and when a person who has hours of their own is there: a week, and days that differ.
class Shop::Hours
  CLOCK = /\A([01]?\d|2[0-4]):[0-5]\d\z/

  # Replaces the week and the days of one person, or of the shop.
  # @param person [Person, nil]
  # @param week [Hash{String=>String}] "1" => "07:30-12:00, 12:30-16:30"; a day left out or empty is closed
  # @param days [Array<Hash>] {"date", "hours"}; empty hours: closed
  # @raise [Rhexon::InvalidInput]
  def self.replace!(person, week, days)
    rows = of_week(week)
    rows += days.flat_map { |day| dated(day) }
    OpenHour.transaction do
      OpenHour.where(person: person).delete_all
      rows.each { |row| OpenHour.create!(person: person, **row) }
    end
  end

  # @raise [Rhexon::InvalidInput] when a week cannot be kept so
  def self.check!(week) = of_week(week) && nil

  def self.of_week(week)
    rows = week.flat_map do |day, text|
      spans(text, "week/#{day}").map do |opens, closes|
        { weekday: Integer(day, exception: false), opens: opens, closes: closes }
      end
    end
    rows.each { |row| Rhexon.refuse_unless((0..6).cover?(row[:weekday]), "That is no day of the week", where: "week") }
  end

  # @return [Array<Array(String, String)>]
  def self.spans(text, where)
    typed = text.to_s.split(/[,;]/).map(&:strip).reject(&:empty?).map do |span|
      span.split(/\s*(?:-|–|to)\s*/).map { |clock| clock.rjust(5, "0") }
    end
    sound = typed.all? { |span| span.size == 2 && span.all? { |clock| clock.match?(CLOCK) } && span[0] < span[1] } &&
      typed.sort.each_cons(2).all? { |one, other| one[1] <= other[0] }
    unless sound
      raise Rhexon::InvalidInput.new(
        "#{text.inspect} are no hours", where: where, accepted: "such as 07:30-12:00, 12:30-16:30"
      )
    end

    typed.sort
  end

  def self.dated(day)
    date = Date.iso8601(day["date"].to_s)
    Rhexon::Zone.near!(date.to_time.to_i / 60, Time.current.to_i / 60, "days")
    hours = spans(day["hours"], "days/#{date}")
    if hours.empty?
      [ { date: date, opens: nil, closes: nil } ]
    else
      hours.map { |opens, closes| { date: date, opens: opens, closes: closes } }
    end
  rescue ArgumentError
    raise Rhexon::InvalidInput.new("#{day["date"].inspect} is no day", where: "days", accepted: "such as 2026-12-24")
  end
  private_class_method :of_week, :spans, :dated
end
