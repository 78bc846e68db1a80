# A photo of a cell, a piece or something in the log, or one that only gives a colour. Small, and without what the
# camera wrote beside it.
class Photo < ApplicationRecord
  belongs_to :cell, optional: true
  belongs_to :piece, optional: true
  belongs_to :entry, optional: true
  has_one_attached :image
  has_one_attached :thumb

  validates :client_id, presence: true
  validates :words, length: { maximum: 200, message: "A photo has at most 200 letters of words." }

  # @param file [#read] as it was uploaded
  # @param of [Hash] cell:, piece: or entry:, or none
  # @return [Photo] the first one when the same client id comes again
  # @raise [Rhexon::InvalidInput]
  def self.take!(file, client_id:, words: nil, light: nil, **of)
    Rhexon.refuse_unless(client_id.present?, "A photo needs an id of its own", where: "client_id")
    known = find_by(client_id: client_id) and return known

    small = Photo::Upload.new(file)
    transaction do
      photo = create!(client_id: client_id, words: words.presence, light: light.presence, width: small.width,
                      height: small.height, **of)
      photo.image.attach(io: StringIO.new(small.jpeg), filename: "photo.jpg", content_type: "image/jpeg",
                         identify: false)
      photo.thumb.attach(io: StringIO.new(small.thumb), filename: "thumb.jpg", content_type: "image/jpeg",
                         identify: false)
      photo
    end
  rescue ActiveRecord::RecordInvalid => invalid
    raise Rhexon::InvalidInput.new(invalid.record.errors.first.message, where: "words")
  end

  # The photos of a piece: its own, and those of what is in its log.
  # @param piece [Piece]
  # @return [Array<Photo>] newest first
  def self.of_piece(piece)
    where(piece: piece).or(where(entry: piece.entries)).includes(:entry).order(created_at: :desc, id: :desc).to_a
  end

  # The colour of a marked patch, by the grey card beside it.
  # @param patch, grey [Array<Numeric>] left, top, width, height as shares of the photo
  # @param white [Array<Numeric>, nil] a white card
  # @return [Array<Float>] L*a*b*, D65
  # @raise [Rhexon::InvalidInput]
  def colour(patch, grey, white: nil)
    pixels = Photo::Pixels.new(image.download)
    Rhexon::Colour::Patch.lab(pixels.mean(patch, "patch"), grey: pixels.mean(grey, "grey"),
                                                           white: white && pixels.mean(white, "white"))
  end
end
