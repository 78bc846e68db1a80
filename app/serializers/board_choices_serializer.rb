# What a new board begins with.
class BoardChoicesSerializer < ApplicationSerializer
  fields pieces: "Array<{ id: number; name: string; wood: string; client: string; steps: number }>",
         grains: "string[]", today: :string
end
