# A face of a piece: an area with its grain.
class Face < ApplicationRecord
  belongs_to :piece
  validates :name, presence: { message: "Name the face." },
                   format: { without: %r{[/+]}, message: "A face's name has no / and no +." }
  validates :area_m2, if: -> { @no_size.nil? },
            numericality: {
              greater_than: 0, less_than_or_equal_to: 10_000, message: "Area is more than 0 and at most 10 000 m²."
            }
  validate -> { errors.add(:area_m2, @no_size) if @no_size }
  validates :grain, inclusion: { in: Piece::GRAINS, message: "Choose how open the grain is." }

  KINDS = %w[face back inside edges].freeze
  validates :kind, inclusion: { in: KINDS }

  # An area, or a size such as "1600 x 750 mm" that comes to one.
  def area_m2=(typed)
    @no_size = nil
    super(Rhexon::Areas::Dimensions.size?(typed) ? Rhexon::Areas::Dimensions.m2(typed) : typed)
  rescue Rhexon::InvalidInput => error
    @no_size = error.message
  end

  def to_core = { "id" => name, "kind" => kind, "area_m2" => area_m2, "wood" => grain }
end
