class BoardSerializer < ApplicationSerializer
  NULLABLE = { nullable: true }.freeze
  fields id: :number, name: :string, wood: :string, grain: :string, timber_lot: [ :string, NULLABLE ], width_mm: :number, height_mm: :number, tape_mm: :number, made_on: :string
  typelize piece: [ "{ id: number; name: string }", NULLABLE ], target_lab: [ "[number, number, number]", NULLABLE ], target_hex: [ :string, NULLABLE ], sheen: [ "[number, number]", NULLABLE ], best: [ :number, NULLABLE ], look: [ :string, NULLABLE ]
  attribute(:piece) { |board| board.piece && { id: board.piece.id, name: board.piece.name } }
  attribute(:look) { |board| board.piece&.look }
  attribute(:target_lab) { |board| board.piece&.target_lab }
  attribute(:target_hex) { |board| board.piece&.target_lab && Rhexon::Colour::Lab.hex(board.piece.target_lab) }
  attribute(:sheen) { |board| board.piece&.sheen_low && [ board.piece.sheen_low, board.piece.sheen_high ] }
  attribute(:best) { |board| Rhexon::Boards::Readings.best(board.cells.reject(&:ruined).to_h { |cell| [ cell.id, cell.summary ] }) }
  many :cells, resource: CellSerializer
  many :places, resource: PlaceSerializer
end
