# The shop itself: one row.
class Shop < ApplicationRecord
  validates :name, presence: true
  validate :zone_is_known
  validates :units, inclusion: { in: %w[metric us] }
  validates :scale_g, numericality: { greater_than: 0 }

  def self.current = first || raise(ActiveRecord::RecordNotFound, "The shop is not set up yet: run bin/setup")

  # @return [Rhexon::Planning::Zone]
  def clock = @clock ||= Rhexon::Planning::Zone.new(zone)

  def shellac_months = house["shellac_months"] || Rhexon::Planning::Shop::HOUSE.fetch("shellac_months")

  private

  def zone_is_known
    clock
  rescue Rhexon::Refusal => refusal
    errors.add(:zone, refusal.message)
  end
end
