# The shop itself: one row.
class Shop < ApplicationRecord
  validates :name, presence: true
  validate :zone_is_known

  def self.current = first || raise(ActiveRecord::RecordNotFound, "The shop is not set up yet: run bin/setup")

  # @return [Rhexon::Planning::Zone]
  def clock = @clock ||= Rhexon::Planning::Zone.new(zone)

  private

  def zone_is_known
    clock
  rescue Rhexon::Refusal => refusal
    errors.add(:zone, refusal.message)
  end
end
