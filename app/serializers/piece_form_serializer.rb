# A piece as its form shows it.
class PieceFormSerializer < ApplicationSerializer
  fields id: :number, name: :string, count: :number, wood: :string, wood_like: [ :string, NULLABLE ],
         timber_id: [ :number, NULLABLE ],
         use: [ :string, { nullable: true } ],
         arris: :string, shape: [ :string, NULLABLE ], light: :string, look: [ :string, { nullable: true } ],
         wanted_colour: [ :string, { nullable: true } ], wanted_gloss: [ :string, { nullable: true } ],
         pores: [ :string, { nullable: true } ], priority: [ PRIORITY, NULLABLE ]
  many :faces, resource: FaceSerializer
end
