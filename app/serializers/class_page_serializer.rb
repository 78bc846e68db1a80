# A class: who is at which step, what dries where, who is behind, and whether the racks hold it.
class ClassPageSerializer < ApplicationSerializer
  fields piece: "{ id: number; name: string; count: number }", steps: "string[]",
         places: "Array<{ id: number; person: string; states: string[]; done: number; behind: number; " \
                 "words: string | null; status: string | null; at: number | null; " \
                 "dries: { room: string; since: number; until: number } | null; ready_at: number | null }>",
         racks: "Array<{ room: string; places: number; now: number; most: number; at: number }>",
         people: "string[]", removed: :boolean, may_lend_tools: :boolean, now: :number, zone: :string
end
