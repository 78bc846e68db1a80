# What a piece costs to finish in the plan of today, for its page.
class QuoteState
  attr_reader :piece

  # @param piece [Piece]
  def initialize(piece)
    @piece = piece
  end

  # @return [Rhexon::Compare::Quote]
  # @raise [Rhexon::InvalidInput] for a piece that is set aside, or not in hand any more
  def quote = @quote ||= Rhexon::Compare::Quote.new(floor.plan_of(piece), piece.core_id, shop.terms)

  # @return [Rhexon::Compare::Quote] one that can be given to a client
  # @raise [Rhexon::InvalidInput] where there is no work, or not all of it can be planned
  def given
    Rhexon.refuse_unless(quote.phases.any? && quote.whole?, "There is no price for all of #{piece.name} yet",
                         where: "pieces/#{piece.id}/schedule", accepted: "a schedule that can be planned to its end")
    quote
  end

  def terms = Rhexon::Compare::Quote::TERMS.keys.index_with { |name| shop.terms[name] || 0 }
  def most = Rhexon::Compare::Quote::TERMS.transform_values(&:end)
  def currency = shop.currency

  # @return [Integer, nil] minute at which it is ready by the plan
  def ready_at = floor.plan.build.ready[piece.core_id]
  def zone = shop.zone

  private

  def shop = @shop ||= Shop.current
  def floor = @floor ||= ShopFloor.new
end
