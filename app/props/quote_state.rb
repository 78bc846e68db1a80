# What a piece costs to finish in the plan of today, for its page; of a piece whose job is closed, what it came to.
class QuoteState
  attr_reader :piece

  # @param piece [Piece]
  # @param floor [ShopFloor]
  def initialize(piece, floor: ShopFloor.new)
    @piece = piece
    @floor = floor
  end

  # @return [Rhexon::Compare::Quote]
  # @raise [Rhexon::InvalidInput] for a piece that is set aside
  def quote = @quote ||= Rhexon::Compare::Quote.new(plan, piece.core_id, shop.terms)

  # What a sheet for the client is written from, and what is kept of it when it is given.
  # @return [Hash] JSON: "steps", "phases", "materials", "worn", "unpriced", "sums", "terms", "ready_at", "currency"
  # @raise [Rhexon::InvalidInput] where there is no work, or not all of it can be planned
  def figures
    Rhexon.refuse_unless(quote.phases.any? && quote.whole?, "There is no price for all of #{piece.name} yet",
                         where: "pieces/#{piece.id}/schedule", accepted: "a schedule that can be planned to its end")
    lists = { "phases" => quote.phases, "materials" => quote.materials, "worn" => quote.worn }
    { "steps" => steps, **lists.transform_values { |list| list.map { |one| one.to_h.transform_keys(&:to_s) } },
      "unpriced" => quote.unpriced, "sums" => sums.transform_keys(&:to_s), "terms" => terms, "ready_at" => ready_at,
      "currency" => currency }
  end

  # @return [GivenQuote]
  # @raise [Rhexon::InvalidInput]
  def give!
    piece.in_hand!
    piece.given_quotes.create!(figures: figures)
  end

  # @return [Hash{Symbol=>Float}] money of each line
  def sums = quote.sums.to_h.transform_values { |money| money.round(2) }

  def terms = Rhexon::Compare::Quote::TERMS.keys.index_with { |name| shop.terms[name] || 0 }
  def most = Rhexon::Compare::Quote::TERMS.transform_values(&:end)
  def currency = shop.currency
  def closed? = !piece.in_hand?

  # @return [Integer, nil] minute at which it is ready by the plan
  def ready_at = plan.build.ready[piece.core_id]
  def zone = shop.zone

  private

  def shop = @shop ||= Shop.current
  def plan = @plan ||= closed? ? @floor.plan_alone(piece) : @floor.plan_of(piece)

  # In words, with their coats.
  def steps
    names = Shelf.products.transform_values(&:name)
    piece.schedule.steps.map do |step|
      words = Rhexon::Schedule::Words.step(step, names[step["product"]])
      step["coats"].to_i > 1 ? "#{words}, #{step["coats"]} coats" : words
    end
  end
end
