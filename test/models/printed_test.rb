require "test_helper"

class PrintedTest < ActiveSupport::TestCase
  include Printed

  test "the font ships with the application and has every letter that is printed" do
    font = with_font(Prawn::Document.new).font
    "ΔE µm °C ²³ ½ × − ± ≤ ≥ → ÄÖÜäöüßéèñçåøæłžčšđőűğşĳŒœÞþÐð €£".delete(" ").each_char do |letter|
      assert font.glyph_present?(letter), letter
    end
    assert_path_exists Printed::FONTS.join("LICENSE")
  end

  test "a sheet prints what a western font does not have" do
    set_up_shop
    board = Board.create!(name: "Łódź ΔE 2", wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                          made_on: Date.new(2026, 11, 1))
    board.cells.create!(label: "1", position: 0, layers: [ coat("s1") ])
    assert_operator Board::Sheet.new(board, "http://127.0.0.1/boards/1").pdf.bytesize, :>, 10_000
  end
end
