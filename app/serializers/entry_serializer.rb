class EntrySerializer < ApplicationSerializer
  fields id: :number, kind: :string, pass_key: [ :string, { nullable: true } ], body: "Record<string, string>"
  typelize at: :number, words: :string, piece: [ :string, { nullable: true } ]
  attribute(:at) { |entry| entry.happened_at.to_i / 60 }
  attribute(:words) { |entry| params[:words].fetch(entry.pass_key, "") }
  attribute(:piece) { |entry| entry.piece&.core_id }
end
