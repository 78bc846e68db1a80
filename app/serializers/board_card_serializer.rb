# A board in the list: what it is for, how it looks, which cell is best.
class BoardCardSerializer < ApplicationSerializer
  fields id: :number, name: :string, wood: :string, grain: :string, width_mm: :number, height_mm: :number
  typelize piece: [ :string, NULLABLE ], best: [ "{ label: string; delta_e: number | null }", NULLABLE ],
           cells: "Array<{ x_mm: number; y_mm: number; width_mm: number; height_mm: number; hex: string | null; " \
                  "best: boolean }>"
  attribute(:piece) { |board| board.piece&.name }
  attribute(:best) do |board|
    board.best_cell && { label: board.best_cell.label, delta_e: board.best_cell.summary.delta_e }
  end
  attribute(:cells) do |board|
    board.cells.zip(board.places).map do |cell, place|
      PlaceSerializer.new(place).to_h.merge(hex: board.hex_of(cell), best: cell == board.best_cell)
    end
  end
end
