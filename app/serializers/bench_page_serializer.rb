# All that the bench shows.
class BenchPageSerializer < ApplicationSerializer
  fields bench: "Bench", pieces: "Piece[]", pots: "BenchPot[]", mixed: "Record<string, string>", rooms: "Room[]",
         latest: "Entry[]", hands: [ :string, NULLABLE ], everybody: "string[]", codes: "string[]"
  typelize noted: [ "Noted", NULLABLE ]
  one :noted, resource: NotedSerializer
  many :moved, resource: MovedSerializer
  # A better plan was found.
  typelize better: :boolean
  attribute(:better) { |page| page[:better] ? true : false }
  # Cautions that were read: by piece and person.
  typelize read: "Record<string, Record<string, string[]>>"
  attribute(:read) { |page| page[:read] }
  # Rags that heat themselves and are not dealt with yet.
  typelize rags: [ "{ since: number; names: string[] }", NULLABLE ]
  attribute(:rags) { |page| page[:rags] }
end
