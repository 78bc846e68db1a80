# A piece that is set aside, as its page shows it: why, and the ways back, none of which needs a plan.
class SetAsideState
  LATEST = 12

  # @param aside [ShopFloor::Aside]
  def initialize(aside)
    @aside = aside
  end

  # @return [Hash] SetAsidePage
  def to_h
    piece = @aside.piece
    SetAsidePageSerializer.new(
      { aside: @aside.to_h, schedule: ScheduleSerializer.new(piece.schedule).to_h, zone: Shop.current.zone,
        latest: latest(piece) }
    ).to_h
  end

  private

  # What a touch at the bench made, newest first: a touch takes it back.
  def latest(piece)
    Entry.where(piece: piece, kind: BenchState::TOUCHED)
      .includes(:correction, :revision)
      .order(id: :desc)
      .limit(LATEST * 2)
      .reject(&:correction)
      .first(LATEST)
      .map { |entry| { id: entry.id, kind: entry.kind, at: entry.happened_at.to_i / 60, pass: label(entry) } }
  end

  # The step as it was written when it was logged.
  def label(entry)
    _, step_id, coat, faces = entry.pass_key.to_s.split("/")
    step = entry.revision&.steps&.find { |candidate| candidate["id"] == step_id } or return entry.pass_key
    [
      Rhexon::Schedule::Words.step(step, Shelf.products[step["product"]]&.name),
      ("coat #{coat}" if step["coats"].to_i > 1), faces
    ].compact.join(", ")
  end
end
