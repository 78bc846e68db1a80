require "prawn"
require "rqrcode"

# What printed things share: millimetres, a font with more than Western letters where the machine has one, and square codes.
module Printed
  # Points of a millimetre.
  MM = 72 / 25.4

  private

  # @param document [Prawn::Document]
  # @return [Prawn::Document]
  def with_font(document)
    document.font_families.update("Label" => { normal: font("Regular"), bold: font("Bold") }) if File.exist?(font("Regular"))
    document.font("Label") if document.font_families.key?("Label")
    document
  end

  def font(style) = "/usr/share/fonts/truetype/dejavu/DejaVuSans#{"-Bold" if style == "Bold"}.ttf"

  # The fonts that come with every PDF reader know only Western letters.
  def plain(document, line) = document.font_families.key?("Label") ? line : line.encode("Windows-1252", undef: :replace, replace: "?").encode("UTF-8")

  # Dark squares of a code, by column and row, and how many a side has.
  # @return [Array(Array<Array(Integer, Integer)>, Integer)]
  def squares(text)
    modules = RQRCode::QRCode.new(text, level: :m).modules
    [ modules.each_with_index.flat_map { |row, y| row.each_with_index.filter_map { |set, x| [ x, y ] if set } }, modules.size ]
  end
end
