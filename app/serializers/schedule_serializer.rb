# Where a schedule stands among its revisions.
class ScheduleSerializer < ApplicationSerializer
  typelize revision: :number, can_undo: :boolean, can_redo: :boolean, undoes: [ :string, { nullable: true } ]
  attribute(:revision) { |schedule| schedule.head.number }
  attribute(:can_undo) { |schedule| schedule.head.parent_id.present? }
  attribute(:can_redo) { |schedule| schedule.redo_id.present? }
  attribute(:undoes) { |schedule| schedule.head.parent_id && schedule.head.reason }
  one :from_cell, resource: OriginSerializer, key: :origin
  typelize origin: [ "Origin", { nullable: true } ]
end
