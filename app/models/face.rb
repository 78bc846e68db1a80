# A face of a piece: an area with its grain.
class Face < ApplicationRecord
  belongs_to :piece
  validates :name, presence: { message: "Name the face." },
                   format: { without: %r{[/+]}, message: "A face's name has no / and no +." }
  validates :area_m2,
            numericality: {
              greater_than: 0, less_than_or_equal_to: 10_000, message: "Area is more than 0 and at most 10 000 m²."
            }
  validates :grain, inclusion: { in: Piece::GRAINS, message: "Choose how open the grain is." }

  KINDS = %w[face back inside edges].freeze
  validates :kind, inclusion: { in: KINDS }

  def to_core = { "id" => name, "kind" => kind, "area_m2" => area_m2, "wood" => grain }
end
