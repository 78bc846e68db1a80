# Where a schedule stands among its revisions.
class ScheduleSerializer < ApplicationSerializer
  typelize revision: :number, can_undo: :boolean, can_redo: :boolean, undoes: [ :string, { nullable: true } ]
  attribute(:revision) { |schedule| schedule.head.number }
  attribute(:can_undo) { |schedule| schedule.head.parent_id.present? }
  attribute(:can_redo) { |schedule| schedule.redo_id.present? }
  typelize logged: :boolean
  attribute(:logged) { |schedule| schedule.piece.entries.exists? }
  attribute(:undoes) { |schedule| schedule.head.parent_id && schedule.head.reason }
  one :from_cell, resource: OriginSerializer, key: :origin
  # The recipe of the book that it was taken from.
  typelize recipe: "{ id: number; name: string; number: number; newest: number } | null"
  attribute(:recipe) do |schedule|
    version = schedule.template_version
    version && { id: version.template_id, name: version.template.name, number: version.number,
                 newest: version.template.latest.number }
  end
  typelize origin: [ "Origin", { nullable: true } ]
end
