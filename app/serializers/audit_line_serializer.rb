# One thing that happened around the way in.
class AuditLineSerializer < ApplicationSerializer
  fields id: :number, kind: :string, by: [ :string, NULLABLE ], device: [ :string, NULLABLE ],
         address: [ :string, NULLABLE ]
  typelize at: :number, words: :string, person: [ :string, NULLABLE ], detail: :string, refused: :boolean
  attribute(:at) { |line| line.at.to_i / 60 }
  attribute(:words) { |line| AuditLine::WORDS.fetch(line.kind) }
  attribute(:person) { |line| line.person&.name }
  attribute(:detail) do |line|
    line.detail.map { |name, value| name == "new_device" ? "on a device they had not used before" : value }.join(", ")
  end
  attribute(:refused) { |line| AuditLine::REFUSED.include?(line.kind) }
end
