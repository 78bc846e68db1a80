# Looks that a piece may be wanted in, each with its colour under daylight.
class WantedLooksSerializer < ApplicationSerializer
  TILE = "Array<{ words: string; lab: number[]; hex: string }>".freeze
  # The last that were made.
  MOST_CELLS = 40

  typelize tiles: TILE, woods: TILE, boards: TILE
  attribute(:tiles) { |state| state.look_chart.tiles.map { |tile| tile(tile.words, tile.lab) } }
  attribute(:woods) { |state| state.look_chart.woods.map { |tile| tile(tile.words, tile.lab) } }
  attribute(:boards) do |_|
    cells.map { |cell| tile("Cell #{cell.label} of #{cell.board.name}", cell.summary(nil).lab) }
  end

  private

  def tile(words, lab) = { words: words, lab: lab, hex: Rhexon::Colour::Lab.hex(lab) }

  # Those that were read.
  def cells
    Cell.where(ruined: nil).joins(:readings).where(readings: { kind: "lab" }).distinct.includes(:readings, :board)
      .order(id: :desc).limit(MOST_CELLS)
  end
end
