# A recipe in the list of the book.
class BookLineSerializer < ApplicationSerializer
  typelize id: :number, name: :string, version: :number, wood: [ :string, NULLABLE ], steps: :number, pieces: :number
  attributes :id, :name
  attribute(:version) { |template| template.latest.number }
  attribute(:wood) { |template| template.latest.document["wood"] }
  attribute(:steps) { |template| template.latest.document.dig("schedule", "steps").size }
  attribute(:pieces) { |template| template.versions.sum { |version| version.schedules.size } }
end
