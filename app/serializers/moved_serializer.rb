# Work that the plan had at another time before.
class MovedSerializer < ApplicationSerializer
  fields key: :string, piece: :string, words: :string, from: :number, to: :number, person: [ :string, NULLABLE ]
end
