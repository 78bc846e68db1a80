# A sample board of real size with a row of cells.
class Board < ApplicationRecord
  belongs_to :piece, optional: true
  has_many :cells, -> { order(:position) }, dependent: :destroy, inverse_of: :board

  validates :name, presence: { message: "Name the board." }, uniqueness: { message: "There is already a board of that name." }
  validates :wood, presence: { message: "Name the wood." }
  validates :grain, inclusion: { in: Piece::GRAINS, message: "Choose how open the grain is." }
  validates :width_mm, :height_mm, numericality: { only_integer: true, in: 50..3000, message: "A board is 50 to 3000 mm wide and high." }
  validates :made_on, presence: true

  # @return [Array<Rhexon::Boards::Layout::Place>]
  def places = Rhexon::Boards::Layout.row(width_mm: width_mm, height_mm: height_mm, margin_mm: margin_mm, tape_mm: tape_mm, cells: cells.size)
end
