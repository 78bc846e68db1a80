# A piece that was deleted or archived, and can be restored.
class RemovedPieceSerializer < ApplicationSerializer
  fields id: :number, name: :string
  typelize client: :string, archived: :boolean, at: :number
  attribute(:client) { |piece| piece.job.client }
  attribute(:archived) { |piece| piece.entries.exists? }
  attribute(:at) { |piece| piece.put_away_at.to_i / 60 }
end
