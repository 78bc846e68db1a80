# Blind pairs of a board.
class BoardPairsSerializer < ApplicationSerializer
  fields left: "Array<[number, number]>", picks: :number,
         strengths: "Array<{ id: number; label: string; strength: number; sd: number; wins: number; losses: number }>",
         sure: :boolean
end
