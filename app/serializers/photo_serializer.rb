class PhotoSerializer < ApplicationSerializer
  fields id: :number, words: [ :string, { nullable: true } ], light: [ :string, { nullable: true } ], width: :number,
         height: :number
  typelize at: :number, of: [ :string, { nullable: true } ]
  attribute(:at) { |photo| photo.created_at.to_i / 60 }
  attribute(:of) { |photo| photo.entry&.body&.fetch("words", nil) }
end
