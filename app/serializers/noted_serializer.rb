# What a touch came to.
class NotedSerializer < ApplicationSerializer
  fields id: :number, at: :number, kind: :string, piece: [ :string, NULLABLE ], pass_key: [ :string, NULLABLE ],
         ready: [ "[number, number]", NULLABLE ]
  typelize next: [ "Moved", NULLABLE ]
  one :next, resource: MovedSerializer
  many :others, resource: MovedSerializer
end
