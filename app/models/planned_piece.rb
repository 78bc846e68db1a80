# When the plan has a piece ready.
class PlannedPiece < ApplicationRecord
  belongs_to :piece

  validates :ready_min, numericality: { only_integer: true }
end
