# The chance of one piece, as its page shows it.
Piece::Chance = Struct.new(:outlook, :plan, :piece) do
  def planned_at = plan.build.ready[piece]
  def due = plan.piece(piece).due
  def share = due && outlook.share_by(piece, due)
  def unsure = !share.nil? && share < Rhexon::Reference.limits.sure_share
  def no_promise = !share.nil? && share < Rhexon::Reference.limits.no_promise_share
  def dots = outlook.dots(piece, ShopPlanState::DOTS)
  def dates = [ 0.1, 0.5, 0.9 ].map { |share| outlook.quantile(piece, share) }.compact
  def runs = Rhexon::Chance::Outlook::RUNS

  # @return [Array<Hash>] words of what dries and drives the date, and how strongly
  def drivers
    outlook.drivers(piece).map { |driver| { key: driver.key, words: words(driver.pass), rank: driver.rank } }
  end

  private

  def words(pass)
    return "how #{pass.product.name} dries" if pass.product

    "the drying after \"#{Rhexon::Schedule::Words.step(pass.step)}\""
  end
end
