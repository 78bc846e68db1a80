# A piece that dries, with its windows.
class SlabSerializer < ApplicationSerializer
  one :row, resource: BenchRowSerializer
  many :strip, resource: StretchSerializer
  one :next_row, resource: BenchRowSerializer
  typelize next_row: [ "BenchRow", NULLABLE ]
  fields film_um: [ :number, NULLABLE ], opens_at: [ :number, NULLABLE ], closes_at: [ :number, NULLABLE ],
         state: "'too_soon' | 'open' | 'scuffed' | 'shut'", milestone: [ :string, NULLABLE ]
  typelize proof: [ "{ film?: string; glass?: string }", NULLABLE ]
  attribute(:proof) { |slab| slab.proof }
  typelize grain: :string, look: :string
  attribute(:grain) { |slab| slab.piece.wood(slab.row.faces.first) }
  attribute(:look) { |slab| slab.row.placement.pass.film? ? slab.row.placement.pass.product.colour : "stain" }
end
