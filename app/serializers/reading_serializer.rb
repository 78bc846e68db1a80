class ReadingSerializer < ApplicationSerializer
  fields id: :number, kind: :string, value: "number | string | number[]", observer: [ :string, { nullable: true } ],
         light: [ :string, { nullable: true } ], instrument: [ :string, { nullable: true } ]
  typelize at: :number, early: :boolean
  attribute(:early) { |reading| reading.early? }
  attribute(:at) { |reading| reading.taken_at.to_i / 60 }
end
