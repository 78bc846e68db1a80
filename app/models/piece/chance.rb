# The chance of one piece, as its page shows it.
Piece::Chance = Struct.new(:outlook, :plan, :piece) do
  def planned_at = plan.build.ready[piece]
  def due = plan.piece(piece).due
  def share = due && outlook.share_by(piece, due)
  def dots = outlook.dots(piece, ShopPlanState::DOTS)
  def dates = [ 0.1, 0.5, 0.9 ].map { |share| outlook.quantile(piece, share) }.compact
  def runs = Rhexon::Chance::Outlook::RUNS

  # @return [Array<Hash>] words of the coats that drive the date, and how strongly
  def drivers
    context = Rhexon::Checks::Context.new(plan, piece)
    outlook.drivers(piece).map do |driver|
      { "key" => driver.key, "words" => context.name(context.placement_of(driver.key)), "rank" => driver.rank }
    end
  end
end
