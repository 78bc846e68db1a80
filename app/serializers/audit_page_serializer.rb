# A page of what happened around the way in.
class AuditPageSerializer < ApplicationSerializer
  fields refused: :boolean, zone: :string, now: :number
  many :lines, resource: AuditLineSerializer
  one :page, resource: ListPageSerializer
end
