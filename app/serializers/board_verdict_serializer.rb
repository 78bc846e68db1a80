# What was decided about a board.
class BoardVerdictSerializer < ApplicationSerializer
  fields cell: [ "{ id: number; label: string }", NULLABLE ], reason: :string, at: :number
end
