# What has moved in the plan that is kept: since the shop last closed, and by a touch.
module Plan::Told
  # What a touch came to.
  # @!attribute next   [Rhexon::Picture::Moved::Row, nil] the next work on its piece, where that moved
  # @!attribute ready  [Array(Integer, Integer), nil] minutes at which its piece was and is ready, where that moved
  # @!attribute others [Array<Rhexon::Picture::Moved::Row>] work on other pieces that moved
  Noted = Struct.new(:entry, :next, :ready, :others, keyword_init: true) do
    delegate :id, :kind, :pass_key, to: :entry
    def at = entry.happened_at.to_i / 60
    def piece = entry.piece&.core_id
  end
  # A touch is told of so long.
  NOTED = 30.minutes

  module_function

  # @param plan [Rhexon::Planning::Plan]
  # @return [Array<Rhexon::Picture::Moved::Row>] in order of their new starts
  def since_closed(plan)
    Rhexon::Picture::Moved.new(plan).since(PlanMove.stood_at(Time.zone.at(closed(plan.shop) * 60)))
  end

  # @return [Integer] minute at which the last hands left before today; of a shop that never closes, midnight
  def closed(shop)
    today = shop.zone.at(shop.zone.date(shop.now), "00:00")
    _, shut = shop.open_between(today - PlanMove::KEPT.in_minutes.to_i, today).last
    [ shut || today, today ].min
  end
  private_class_method :closed

  # @param entry [Entry, nil] the newest touch
  # @param plan [Rhexon::Planning::Plan]
  # @return [Noted, nil] nil where it is long past, or says nothing of the plan
  def of(entry, plan)
    return unless entry && entry.recorded_at > Time.zone.at(plan.shop.now * 60) - NOTED

    moves = PlanMove.where(entry: entry)
    rows = Rhexon::Picture::Moved.new(plan).since(moves.of_passes.pluck(:pass_key, :was_min).to_h)
    rows = rows.select { |row| moves.any? { |move| move.pass_key == row.key } }
    own, others = rows.partition { |row| row.piece == entry.piece&.core_id }
    Noted.new(entry: entry, next: own.first, others: others,
              ready: moves.of_readiness.where(piece: entry.piece).pick(:was_min, :now_min))
  end
end
