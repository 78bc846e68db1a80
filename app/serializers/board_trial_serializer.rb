# What was varied on a board, and what each thing does to each measure that was read.
class BoardTrialSerializer < ApplicationSerializer
  fields id: :number, name: :string, boards: "Array<{ id: number; name: string }>", weights: "Record<string, number>",
         verdicts: "Array<{ label: string; words: string; score: number | null; aspects: Record<string, " \
                   "number>; missing: string[]; beaten_by: string | null; frontier: boolean }>",
         effects: "Array<{ measure: string; name: string; unit: string; lost: string[]; effects: Array<{ " \
                  "words: string; size: number; low: number | null; high: number | null; told: string }> }>"
end
