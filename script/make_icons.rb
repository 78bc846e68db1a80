# The icon in the sizes that browsers and devices ask for, from public/icon.svg: bundle exec ruby script/make_icons.rb
require "vips"
require "fileutils"

PUBLIC = File.expand_path("../public", __dir__)
SVG = File.read(File.join(PUBLIC, "icon.svg"))
# A device may cut a mask out of it: what matters lies in the middle four fifths.
MASKED = 0.8

def png(size) = Vips::Image.svgload_buffer(SVG, scale: size / 48.0).write_to_buffer(".png")

def maskable(size)
  inner = Vips::Image.svgload_buffer(SVG, scale: size * MASKED / 48.0).flatten(background: [ 242, 245, 247 ])
  inner.gravity(:centre, size, size, extend: :background, background: [ 242, 245, 247 ]).write_to_buffer(".png")
end

FileUtils.mkdir_p(File.join(PUBLIC, "icons"))
[ 48, 96, 180, 192, 512 ].each { |size| File.binwrite(File.join(PUBLIC, "icons/#{size}.png"), png(size)) }
File.binwrite(File.join(PUBLIC, "icons/maskable-512.png"), maskable(512))
# An ICO that holds two PNG: a header, an entry for each, then the pictures.
pictures = [ 16, 32 ].map { |size| [ size, png(size) ] }
offset = 6 + 16 * pictures.size
entries = pictures.map do |size, data|
  entry = [ size, size, 0, 0, 1, 32, data.bytesize, offset ].pack("CCCCvvVV")
  offset += data.bytesize
  entry
end
File.binwrite(File.join(PUBLIC, "favicon.ico"),
              [ 0, 1, pictures.size ].pack("vvv") + entries.join + pictures.map(&:last).join)
