# All that the bench shows.
class BenchPageSerializer < ApplicationSerializer
  fields bench: "Bench", pieces: "Piece[]", pots: "BenchPot[]", mixed: "Record<string, string>", rooms: "Room[]",
         latest: "Entry[]"
end
