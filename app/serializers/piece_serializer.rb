class PieceSerializer < ApplicationSerializer
  fields id: :number, name: :string, count: :number, wood: :string, light: :string,
         use: [ :string, { nullable: true } ], look: [ :string, { nullable: true } ]
  typelize core_id: :string, client: :string, place: [ :string, { nullable: true } ],
           due: [ :number, { nullable: true } ], area_m2: :number, look_hex: [ :string, { nullable: true } ]
  attribute(:core_id) { |piece| piece.core_id }
  attribute(:client) { |piece| piece.job.client }
  attribute(:place) { |piece| piece.job.place }
  attribute(:due) { |piece| piece.job.due_at && piece.job.due_at.to_i / 60 }
  typelize priority: PRIORITY
  attribute(:priority, &:turn)
  attribute(:area_m2) { |piece| (piece.faces.sum(&:area_m2) * piece.count).round(2) }
  attribute(:look_hex) { |piece| piece.target_lab && Rhexon::Colour::Lab.hex(piece.target_lab) }
  many :faces, resource: FaceSerializer
end
