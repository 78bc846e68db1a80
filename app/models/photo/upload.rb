require "image_processing/vips"

# An uploaded picture, made small and bare: turned upright, at most so many pixels wide or high, sRGB, JPEG, nothing
# of the camera's notes left.
class Photo::Upload
  MOST_BYTES = 20.megabytes
  MOST_PIXELS = 80_000_000
  LEAST_PX = 64
  SIDE_PX = 1600
  THUMB_PX = 360
  TYPES = %w[image/jpeg image/png image/webp].freeze
  ACCEPTED = "a JPEG, PNG or WebP picture of at most #{MOST_BYTES / 1.megabyte} MB".freeze

  # @param file [#read, nil]
  # @raise [Rhexon::InvalidInput] when it is too large, of another kind or broken
  def initialize(file)
    Rhexon.refuse_unless(file.respond_to?(:read), "Choose a photo", where: "file", accepted: ACCEPTED)
    Rhexon.refuse_unless(file.size <= MOST_BYTES, "The photo has #{file.size / 1.megabyte} MB, which is too large",
                         where: "file", accepted: ACCEPTED)
    @bytes = file.read
    Rhexon.refuse_unless(TYPES.include?(Marcel::MimeType.for(StringIO.new(@bytes))),
                         "That is no picture this program can read", where: "file", accepted: ACCEPTED)
    check_size
  end

  def jpeg = @jpeg ||= small(SIDE_PX)
  def thumb = @thumb ||= small(THUMB_PX)
  def width = made.width
  def height = made.height

  private

  def made = @made ||= Vips::Image.new_from_buffer(jpeg, "")

  # Reads the head only: a small file can unfold to a picture that fills the memory.
  def check_size
    head = opened
    Rhexon.refuse_unless(
      head.width * head.height <= MOST_PIXELS,
      "The photo has #{head.width} x #{head.height} pixels, which is too many", where: "file",
      accepted: "at most #{MOST_PIXELS / 1_000_000} million pixels"
    )
    Rhexon.refuse_unless(
      [ head.width, head.height ].min >= LEAST_PX, "The photo has only #{head.width} x #{head.height} pixels",
      where: "file", accepted: "at least #{LEAST_PX} x #{LEAST_PX}"
    )
  end

  def opened = whole { Vips::Image.new_from_buffer(@bytes, "", access: :sequential, fail_on: :error) }

  # In the one colour space that pages and patches reckon with.
  def plain
    image = opened
    if image.get_fields.include?("icc-profile-data")
      return image.icc_transform("srgb", embedded: true, intent: :relative)
    end

    image.interpretation == :srgb ? image : image.colourspace(:srgb)
  end

  def small(side)
    whole do
      ImageProcessing::Vips.source(plain)
        .autorot
        .resize_to_limit(side, side)
        .convert("jpg")
        .saver(quality: 86, strip: true, background: [ 255 ]).call
        .then { |file| file.read.tap { file.close! } }
    end
  end

  def whole
    yield
  rescue Vips::Error
    raise Rhexon::InvalidInput.new("The picture is broken: it cannot be read to its end", where: "file",
                                                                                          accepted: ACCEPTED)
  end
end
