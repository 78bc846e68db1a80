class BoardSerializer < ApplicationSerializer
  fields id: :number, name: :string, wood: :string, grain: :string, timber_lot: [ :string, NULLABLE ],
         width_mm: :number, height_mm: :number, tape_mm: :number, made_on: :string
  typelize piece: [ "{ id: number; name: string }", NULLABLE ], target_lab: [ "[number, number, number]", NULLABLE ],
           target_hex: [ :string, NULLABLE ], sheen: [ "[number, number]", NULLABLE ], best: [ :number, NULLABLE ],
           look: [ :string, NULLABLE ]
  attribute(:piece) { |board| board.piece && { id: board.piece.id, name: board.piece.name } }
  attribute(:look) { |board| board.piece&.look }
  attribute(:target_lab) { |board| board.target_lab }
  attribute(:target_hex) { |board| board.target_lab && Rhexon::Colour::Lab.hex(board.target_lab) }
  attribute(:sheen) { |board| board.piece&.sheen_low && [ board.piece.sheen_low, board.piece.sheen_high ] }
  attribute(:best) { |board| board.best_cell&.id }
  many :cells, resource: CellSerializer
  typelize tapes: "Array<{ way: string; from: number; to: number }>",
           strips: "Array<{ x_mm: number; y_mm: number; width_mm: number; height_mm: number; hexes: Record<string, " \
                   "string> }>"
  attribute(:tapes) do |board|
    board.trial ? board.sheet.tapes.map { |way, from, to| { way: way, from: from, to: to } } : []
  end
  attribute(:strips) do |board|
    if board.step_strip
      board.sheet.strips.zip(board.strip_hexes).map do |place, hexes|
        PlaceSerializer.new(place).to_h.merge(hexes: hexes)
      end
    else
      []
    end
  end
  many :places, resource: PlaceSerializer
end
