require "prawn"
require "rqrcode"

# What printed things share: millimetres, the font, and square codes.
module Printed
  # Points of a millimetre.
  MM = 72 / 25.4
  FONTS = Rails.root.join("lib/fonts")

  private

  # Ships with the application: all Latin letters, Δ, µ, ° and ² on every machine.
  # @param document [Prawn::Document]
  # @return [Prawn::Document]
  def with_font(document)
    document.font_families
      .update("Label" => { normal: FONTS.join("DejaVuSans.ttf").to_s, bold: FONTS.join("DejaVuSans-Bold.ttf").to_s })
    document.font("Label")
    document
  end

  # Dark squares of a code, by column and row, and how many a side has.
  # @return [Array(Array<Array(Integer, Integer)>, Integer)]
  def squares(text)
    modules = RQRCode::QRCode.new(text, level: :m).modules
    [
      modules.each_with_index.flat_map { |row, y| row.each_with_index.filter_map { |set, x| [ x, y ] if set } },
      modules.size
    ]
  end
end
