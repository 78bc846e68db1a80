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
  validates :shape, inclusion: { in: Piece::SHAPES }, allow_nil: true

  # An area, or a size such as "1600 x 750 mm" that comes to one.
  def area_m2=(typed)
    @no_size = nil
    if Rhexon::Areas::Dimensions.size?(typed)
      super(Rhexon::Areas::Dimensions.m2(typed))
      self.shape = Rhexon::Areas::Dimensions.form(typed)
    else
      super
      self.shape = nil if area_m2_changed?
    end
  rescue Rhexon::InvalidInput => error
    @no_size = error.message
  end

  # What was there before the schedule begins: a "found" of rhexon-shop/1; bare and sanded where nothing is said.
  def found=(said)
    super(said.is_a?(Hash) ? said.reject { |_, value| value.nil? || value == "" }.presence : said)
  end

  validate :found_can_be, if: :found_changed?

  def to_core
    { "id" => name, "kind" => kind, "area_m2" => area_m2, "wood" => grain, **(shape ? { "shape" => shape } : {}),
      **(found ? { "found" => found } : {}) }
  end

  private

  def found_can_be
    return if found.nil?

    Rhexon::Schema.check_part!("$defs/found", found)
    Rhexon::Boards::Readings.check("lab", found["lab"]) if found["lab"]
    coat = found["product"] and Rhexon.refuse_unless(
      Shelf.products[coat]&.film?, "That coat is not on the shelf's list, or leaves no film", where: "found"
    )
  rescue Rhexon::InvalidInput => refusal
    errors.add(:found, refusal.message)
  end
end
