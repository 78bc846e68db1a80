# The handover of a piece or of a job.
class HandoverPageSerializer < ApplicationSerializer
  fields kind: "'piece' | 'job'", id: :number, title: :string, client: :string, place: [ :string, NULLABLE ],
         names: :boolean, aside: "string[]", zone: :string, now: :number, guest: [ :string, NULLABLE ],
         links: "GuestLink[]"
  many :pieces, resource: HandoverPieceSerializer
end
