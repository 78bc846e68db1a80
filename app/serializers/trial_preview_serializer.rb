# A trial before it is made.
class TrialPreviewSerializer < ApplicationSerializer
  fields cells: "Array<{ label: string; role: 'run' | 'bare' | 'base'; words: string[]; hexes: Record<string, " \
                "string> | null; lab: [number, number, number] | null; delta_e: number | null }>",
         parts: "Array<string[]>", places: "Place[]", strips: "Array<Place & { hexes: Record<string, string> }>",
         tapes: "Array<{ way: 'along' | 'across'; from: number; to: number }>", resolution: [ :number, NULLABLE ],
         confounded: "string[]", efficiency: [ :number, NULLABLE ], boards: :number, timber_m2: :number,
         amounts: "Array<{ product: string; name: string; ml: number }>", passes: :number, mask_moves: :number,
         target_hex: [ :string, NULLABLE ], hands_min: :number, ready_at: [ :number, NULLABLE ],
         judged_at: [ :number, NULLABLE ]
  many :lights, resource: LightChoiceSerializer
end
