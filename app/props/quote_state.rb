# What a piece costs to finish in the plan of today, for its page.
class QuoteState
  attr_reader :piece

  # @param piece [Piece]
  def initialize(piece)
    @piece = piece
  end

  # @return [Rhexon::Compare::Quote]
  # @raise [Rhexon::InvalidInput] for a piece that is set aside, or not in hand any more
  def quote
    Rhexon.refuse_unless(!piece.job.closed_at, "The job of #{piece.name} is closed", where: "pieces/#{piece.id}",
                                                                                    accepted: "a job in hand")
    aside = floor.aside_of(piece) and raise Rhexon::InvalidInput.new(aside.reason, where: "pieces/#{piece.id}")
    @quote ||= Rhexon::Compare::Quote.new(floor.plan, piece.core_id, shop.terms)
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
