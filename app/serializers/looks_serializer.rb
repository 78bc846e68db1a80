# The look after each step of a schedule, hex by light.
class LooksSerializer < ApplicationSerializer
  typelize wood: :string, ground: :string, says: :string, own: :string,
           read: [ "{ words: string; board_id: number; lab: [number, number, number]; hexes: Record<string, string> " \
                   "}", { nullable: true } ],
           later: "Array<{ words: string; lab: [number, number, number]; hexes: Record<string, string> }>",
           lights: "Array<{ id: string; name: string; model: boolean }>", pale: [ "Record<string, string>", NULLABLE ],
           dark: [ "Record<string, string>", NULLABLE ],
           stages: "Array<{ step: string | null; coat: number | null; lab: [number, number, number]; hexes: " \
                   "Record<string, string>; gaps: string[]; notes: string[] }>"
  attributes :wood, :ground, :says, :own, :read, :later, :lights, :stages, :pale, :dark
end
