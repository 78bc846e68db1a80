# The two ends of the day at the bench: what the morning has to know, each one's list, and what the evening has to do.
class DayState
  # @return [Hash] DayPage
  def to_h
    DayPageSerializer.new(
      { morning: items(ends.morning), evening: evening, lists: lists, closes: ends.closes,
        opens: ends.opens, rags: Bench::Rags.new.left&.names, now: floor.now.to_i / 60, zone: Shop.current.zone }
    ).to_h
  end

  # What keeping rooms warm over night is worth: planned anew, behind the page.
  # @return [Array<Hash>]
  def nights
    ends.nights.map { |night| { **night.to_h, piece: names.fetch(night.piece), minutes: night.minutes.round } }
  end

  private

  def floor = @floor ||= ShopFloor.new
  def names = @names ||= floor.pieces.to_h { |piece| [ piece.core_id, piece.name ] }
  def ends = @ends ||= Rhexon::Picture::DayEnds.new(floor.plan, names)
  def items(list) = list.map { |item| { kind: item.kind, words: item.words, at: item.at } }

  # What was seen to stays on the list, ticked: it is as long in the morning as it was in the evening.
  def evening
    today = Entry.uncorrected.where(kind: "seen_to", happened_at: Time.current.in_time_zone(Shop.current.zone).all_day)
    seen = today.pluck(:body).pluck("item")
    items(ends.evening).map { |item| { **item, seen: seen.include?(item[:words]) } }
  end

  def lists
    ends.lists.map do |person, rows|
      { person: person, works: rows.map { |row| work(row) } }
    end
  end

  def work(row)
    { at: row.hands_start, words: ends.label(row.placement), piece: names.fetch(row.placement.pass.piece.id),
      min: row.hands.sum { |from, to| to - from }, running: row.status == "running" }
  end
end
