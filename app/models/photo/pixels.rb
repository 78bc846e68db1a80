require "vips"

# Means of marked parts of a photo, in linear light.
class Photo::Pixels
  # Fewer pixels than this say nothing.
  LEAST = 36

  # @param bytes [String] JPEG
  def initialize(bytes)
    @image = Vips::Image.new_from_buffer(bytes, "")
  end

  # @param part [Array<Numeric>] left, top, width, height as shares of the photo
  # @param name [String] of the part, for the refusal
  # @return [Array<Float>] red, green, blue, 0 to 1
  # @raise [Rhexon::InvalidInput]
  def mean(part, name)
    Rhexon.refuse_unless(
      shares?(part), "The #{name} is marked by four shares of the photo", where: name,
      accepted: "left, top, width, height from 0 to 1, inside the photo"
    )
    wide, high = (part[2] * @image.width).floor, (part[3] * @image.height).floor
    Rhexon.refuse_unless(
      wide * high >= LEAST, "The #{name} is marked too small", where: name, accepted: "at least #{LEAST} pixels"
    )
    linear = @image.crop((part[0] * @image.width).floor, (part[1] * @image.height).floor, wide, high)
      .colourspace(:scrgb)
    Array.new(3) { |band| linear.extract_band([ band, linear.bands - 1 ].min).avg }
  end

  private

  def shares?(part)
    part.is_a?(Array) && part.size == 4 && part.all? { |share| share.is_a?(Numeric) && share.between?(0, 1) } &&
      part[0] + part[2] <= 1.0001 && part[1] + part[3] <= 1.0001
  end
end
