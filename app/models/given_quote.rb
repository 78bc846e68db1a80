# A quote as it was given to a client: what was reckoned then, whatever has changed since. Immutable.
class GivenQuote < ApplicationRecord
  belongs_to :piece

  def readonly? = persisted?

  # @return [Float] price with tax
  def gross = figures.dig("sums", "gross")

  # @return [Float] minutes of hands
  def hands_min = figures["phases"].sum { |phase| phase["min"] }
end
