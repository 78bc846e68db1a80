# A pass that the plan has at another time since, or the time at which a piece is ready: told at the bench and on the
# shop plan.
class PlanMove < ApplicationRecord
  belongs_to :piece
  # The touch that it moved by, where it was one.
  belongs_to :entry, optional: true

  validates :was_min, :now_min, numericality: { only_integer: true }

  # What is longer ago is told nowhere.
  KEPT = 7.days

  scope :of_passes, -> { where.not(pass_key: nil) }
  scope :of_readiness, -> { where(pass_key: nil) }

  # Where each pass stood at that time, of those that have moved since.
  # @param time [Time]
  # @return [Hash{String=>Integer}] minute by pass
  def self.stood_at(time) = of_passes.where(at: time..).order(id: :desc).pluck(:pass_key, :was_min).to_h

  # What a touch moved goes back to where it stood, as far as it has not moved again.
  # @param entry [Entry]
  def self.take_back!(entry)
    of_passes.where(entry: entry).find_each do |move|
      PlannedPass.where(pass_key: move.pass_key, start_min: move.now_min).update_all(start_min: move.was_min)
    end
  end
end
