# Grams into or out of a batch. Append-only; what is left is their sum.
class StockMove < ApplicationRecord
  THROWN_AWAY = "thrown away".freeze

  belongs_to :batch
  belongs_to :entry, optional: true

  validates :grams, numericality: { other_than: 0 }
  validates :reason, :client_id, presence: true

  def readonly? = persisted?

  # Moves once: the same client id again changes nothing.
  # @return [StockMove, nil] nil when nothing moves
  def self.record!(batch:, grams:, reason:, client_id:, entry: nil)
    known = find_by(client_id: client_id)
    return known if known
    return if grams.abs < 0.005

    create!(batch: batch, grams: grams, reason: reason, client_id: client_id, entry: entry)
  end
end
