require "vips"

# Pictures to upload, drawn on the spot.
module Pictures
  # A flat picture with a grey card in its top left quarter, under a lamp that reddens everything alike.
  # @param rgb, lamp [Array<Float>] in linear light
  # @return [String] JPEG
  def picture(rgb = [ 0.2, 0.08, 0.03 ], wide: 400, high: 300, lamp: [ 1.0, 0.8, 0.6 ])
    scene = flat(rgb, wide, high).insert(flat([ 0.18 ] * 3, wide / 2, high / 2), 0, 0)
    (scene * lamp).copy(interpretation: :scrgb).colourspace(:srgb).jpegsave_buffer(Q: 95)
  end

  # The same with what a camera writes beside it: maker, and that it was held on its side.
  def from_a_camera
    image = Vips::Image.new_from_buffer(picture(wide: 400, high: 300), "").mutate do |mutable|
      mutable.set_type!(GObject::GSTR_TYPE, "exif-ifd0-Make", "A camera with a secret")
      mutable.set_type!(GObject::GINT_TYPE, "orientation", 6)
    end
    image.jpegsave_buffer
  end

  def upload(bytes, name: "photo.jpg", type: "image/jpeg")
    file = Tempfile.new([ "upload", File.extname(name) ], binmode: true)
    file.write(bytes)
    file.flush
    Rack::Test::UploadedFile.new(file.path, type, true, original_filename: name)
  end

  private

  def flat(rgb, wide, high) = (Vips::Image.black(wide, high, bands: 3) + rgb).cast(:float)
end
