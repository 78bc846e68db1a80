# What a trial can vary.
class TrialPageSerializer < ApplicationSerializer
  fields pieces: "Array<{ id: number; name: string; wood: string; client: string; grain: string | null }>",
         piece: [ :number, NULLABLE ], steps: "Array<{ id: string, kind: StepKind, words: string, step: Step }>",
         grains: "string[]", products: "ShelfItem[]"
end
