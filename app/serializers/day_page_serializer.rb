# The two ends of the day at the bench.
class DayPageSerializer < ApplicationSerializer
  ITEMS = "Array<{ kind: string; words: string; at: number | null }>".freeze
  SEEN_TO = "Array<{ kind: string; words: string; at: number | null; seen: boolean }>".freeze
  fields morning: ITEMS, evening: SEEN_TO,
         lists: "Array<{ person: string; works: Array<{ at: number; words: string; piece: string; min: number; " \
                "running: boolean }> }>",
         closes: [ :number, NULLABLE ], opens: [ :number, NULLABLE ], rags: [ "string[]", NULLABLE ], now: :number,
         zone: :string
end
