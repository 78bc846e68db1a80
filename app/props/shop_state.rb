# The shop itself as its page shows it: rooms and their air, people, guns and hours.
class ShopState
  # @return [Hash] ShopPage
  # @param report [Hash, nil] of a logger file that was just read
  def to_h(report: nil) = ShopPageSerializer.new(page.merge({ report: report }.compact)).to_h

  private

  def page
    {
      rooms: Room.order(:id).includes(:climate_readings).map { |room| RoomAirSerializer.new(room).to_h },
      hand_instruments: Instrument.of_hand.order(:id).map { |one| HandInstrumentSerializer.new(one).to_h },
      airs: Rhexon::Reference.drying.air.keys,
      people: Person.order(:id).map { |person| person_row(person) },
      trained_work: Person.trained_work,
      tools: Tool.offered.order(:id).map { |tool| { id: tool.id, name: tool.name, used_for: tool.used_for } },
      uses: Room::USES, shop_hours: hours_of(nil), house: Shop.current.ways, judged: judged
    }
  end

  def person_row(person)
    { **person.slice("id", "name", "at_bench", "own_pieces_only", "skills", "role").symbolize_keys,
      signs_in: person.signs_in?, has_code: person.code?, **hours_of(person) }
  end

  # Checks that the whole shop judges otherwise.
  def judged
    (Shop.current.house["checks"] || {}).map { |check, said| { check: check, **said.symbolize_keys } }
  end

  def hours_of(person)
    rows = OpenHour.where(person: person).order(:date, :opens).to_a
    {
      week: (0..6).to_h { |day| [ day.to_s, spans(rows.select { |row| row.weekday == day }) ] },
      days: rows.select(&:date).group_by(&:date).map { |date, hours| { date: date.iso8601, hours: spans(hours) } }
    }
  end

  def spans(hours) = hours.select(&:opens).map { |row| "#{row.opens}-#{row.closes}" }.join(", ")
end
