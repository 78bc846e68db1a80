# What was thrown away of late, counted and costed.
class Shelf::Waste
  DAYS = 30

  # @param now [Time]
  # @return [Hash] g, and cost in the shop's money as far as prices are known
  def self.lately(now: Time.current)
    moves = StockMove
      .where("reason LIKE ? AND grams < 0 AND stock_moves.created_at > ?", "#{StockMove::THROWN_AWAY}%",
             now - DAYS.days)
      .includes(batch: %i[product mix])
    {
      days: DAYS, g: -moves.sum(&:grams).round,
      cost: moves.sum { |move| -move.grams / 1000 * (price_per_kg(move.batch) || 0) }.round(2)
    }
  end

  # A mix costs what went into it.
  def self.price_per_kg(batch)
    return Rhexon::Mixing::ProductMix.price_per_kg(batch.product.to_value) unless batch.mix

    poured = batch.mix.poured
    prices = batch.mix.components.to_h { |component| [ component["name"], component["price_per_kg"] || 0 ] }
    poured.sum { |pour| pour["g"] * prices.fetch(pour["name"]) } / poured.sum { |pour| pour["g"] }
  end
  private_class_method :price_per_kg
end
