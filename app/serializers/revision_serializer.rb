class RevisionSerializer < ApplicationSerializer
  fields number: :number, reason: :string, operation: "Operation"
  typelize at: :number, parent: [ :number, { nullable: true } ], by: [ :string, { nullable: true } ]
  attribute(:at) { |revision| revision.created_at.to_i / 60 }
  attribute(:parent) { |revision| revision.parent&.number }
  attribute(:by) { |revision| revision.person&.name }
end
