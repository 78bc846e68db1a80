# The look after each step of a schedule, hex by light.
class LooksSerializer < ApplicationSerializer
  typelize species: :string, says: :string, own: :string,
           read: [ "{ words: string; board_id: number; lab: [number, number, number]; hexes: Record<string, string> " \
                   "}", { nullable: true } ],
           later: "Array<{ words: string; lab: [number, number, number]; hexes: Record<string, string> }>",
           lights: "Array<{ id: string; name: string; model: boolean }>", pale: "Record<string, string>",
           dark: "Record<string, string>",
           stages: "Array<{ step: string | null; coat: number | null; lab: [number, number, number]; hexes: " \
                   "Record<string, string>; gaps: string[]; notes: string[] }>"
  attributes :species, :says, :own, :read, :later, :lights, :stages, :pale, :dark
end
