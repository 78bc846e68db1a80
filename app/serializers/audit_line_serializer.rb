# One thing that happened around the way in.
class AuditLineSerializer < ApplicationSerializer
  fields id: :number, kind: :string, by: [ :string, NULLABLE ], device: [ :string, NULLABLE ],
         address: [ :string, NULLABLE ]
  typelize at: :number, words: :string, person: [ :string, NULLABLE ], detail: :string, refused: :boolean
  attribute(:at) { |line| line.at.to_i / 60 }
  attribute(:words) { |line| AuditLine::WORDS.fetch(line.kind) }
  attribute(:person) { |line| line.person&.name }
  attribute(:detail) { |line| line.detail.values.join(", ") }
  attribute(:refused) { |line| AuditLine::REFUSED.include?(line.kind) }
end
