# A line for one piece: when hands were on it, and what was looked at or went wrong.
class RecordStrandSerializer < ApplicationSerializer
  typelize piece: "{ id: number; name: string; client: string }", bars: "Array<[number, number]>",
           marks: "Array<[number, string]>"
  attribute(:piece) { |strand| { id: strand.piece.id, name: strand.piece.name, client: strand.piece.job.client } }
  attributes :bars, :marks
end
