# What stands on the shelf of a product, and taking from it.
module Shelf::Stock
  module_function

  # Cans that are used up first: opened before sealed, the soonest to expire first.
  # @return [Array<Batch>] with something in them
  def cans(code)
    Batch.standing
      .with_left
      .joins(:product)
      .where(products: { code: code }, kept: false)
      .where(mix_id: nil).to_a
      .select { |batch| batch.left_g.positive? }
         .sort_by { |batch| [ batch.state == "sealed" ? 1 : 0, batch.expires_on || Date.new(9999), batch.id ] }
  end

  # @return [Float, nil] g; nil when no can of it was ever put on the shelf
  def left_g(code)
    standing = cans(code)
    standing.any? || Batch.joins(:product).exists?(products: { code: code }) ? standing.sum(&:left_g) : nil
  end

  # Takes an amount from the cans of a product; a sealed can is opened. More than the shelf is said to hold empties it:
  # what was poured was there.
  # @return [Float] grams that the shelf did not account for
  def take!(code, grams, entry:, reason:)
    rest = grams
    cans(code).each do |can|
      break if rest < 0.005

      part = [ can.left_g, rest ].min
      can.open!
      StockMove.record!(batch: can, grams: -part, reason: reason, client_id: "#{entry.client_id}-#{code}-#{can.id}",
                        entry: entry)
      rest -= part
    end
    rest.round(2)
  end
end
