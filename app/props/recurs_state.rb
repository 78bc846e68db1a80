# Where faults come back: their share of what was laid on in the last year, and of what that is told apart.
class RecursState
  BACK = 1.year
  # So many pieces are read, the last ones.
  MOST_PIECES = 200
  NAMES = { "product" => "With what", "person" => "By whom", "method" => "How", "room" => "Where",
            "warmth" => "In what warmth", "damp" => "In what damp" }.freeze

  # @param fault [String, nil] id of one; nil: any
  def initialize(fault)
    @fault = Rhexon::Faults::Fault.all.find { |one| one.id == fault }&.id
  end

  # @return [Hash] RecursPage
  def to_h
    RecursPageSerializer.new(
      { fault: @fault, whole: group(recurrence.whole), faults: faults, kinds: kinds,
        least: Rhexon::Faults::Recurrence::LEAST_WORKS }
    ).to_h
  end

  private

  def recurrence = @recurrence ||= Rhexon::Faults::Recurrence.new(works, fault: @fault)

  def faults
    all = Rhexon::Faults::Recurrence.new(works).faults
    all.map do |one|
      fault = Rhexon::Faults::Fault.find(one.value)
      { **group(one), id: fault.id, name: fault.name, causes: causes(fault) }
    end
  end

  # The likely ones, with how often a hand said that it was this; the most often said first.
  def causes(fault)
    said = Entry.uncorrected.where(kind: "fault").where("body ->> 'fault' = ?", fault.id)
      .group(Arel.sql("body ->> 'cause'")).count
    fault.causes.map { |cause| { says: cause, times: said.fetch(cause, 0) } }.sort_by.with_index do |one, at|
      [ -one[:times], at ]
    end
  end

  def kinds
    recurrence.groups.group_by(&:by).map do |by, groups|
      { by: by, name: NAMES.fetch(by), groups: groups.map { |one| group(one) } }
    end
  end

  def group(one)
    { value: one.value, works: one.works, faulty: one.faulty, share: one.share.round(3), low: one.low.round(3),
      high: one.high.round(3), told: one.told }
  end

  # What was laid on, each with what was found on it.
  def works
    @works ||= begin
      beside = Record::Beside.new
      pieces.filter_map { |piece| beside.done(piece) }.flat_map(&:lines).select(&:product).map { |line| work(line) }
    end
  end

  def work(line)
    by = { "product" => Shelf.products[line.product]&.name, "person" => line.person,
           "method" => Rhexon::Materials::Methods::DONE[line.method], "room" => line.room,
           **Rhexon::Faults::Recurrence.air(line.air) }
    Rhexon::Faults::Recurrence::Work.new(faults: found.fetch(line.key, []), by: by)
  end

  def found
    @found ||= Entry.uncorrected.where(kind: "fault").pluck(:pass_key, Arel.sql("body ->> 'fault'"))
      .group_by(&:first).transform_values { |rows| rows.map(&:last) }
  end

  def pieces
    ids = Entry.where(kind: "done", happened_at: BACK.ago..).where.not(piece_id: nil).distinct.pluck(:piece_id)
    Piece.where(id: ids).includes(:faces, :job, schedule: :head).order(id: :desc).limit(MOST_PIECES)
  end
end
