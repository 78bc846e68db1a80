# A link for somebody outside.
class GuestLinkSerializer < ApplicationSerializer
  fields id: :number, kind: "'handover' | 'approval'", names: :boolean, live: :boolean, made_at: :number,
         by: [ :string, NULLABLE ], ends_on: [ :string, NULLABLE ], seen_at: [ :number, NULLABLE ],
         for_name: [ :string, NULLABLE ]
  attribute(:live, &:live?)
  attribute(:made_at) { |link| link.created_at.to_i / 60 }
  attribute(:by) { |link| link.person&.name }
  attribute(:ends_on) { |link| link.ends_at && link.ends_at.in_time_zone(Shop.current.zone).to_date.iso8601 }
  attribute(:seen_at) { |link| link.seen_at && link.seen_at.to_i / 60 }
end
