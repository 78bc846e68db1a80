# A mix with its pours.
class PotSerializer < ApplicationSerializer
  fields id: :number, name: :string, resolution_g: :number, container_ml: [ :number, NULLABLE ], poured_g: :number,
         total_g: :number, total_ml: :number, planned_g: :number, factor: :number, stir_again: :boolean,
         too_small: :boolean, smallest_total_g: :number, estimate: :boolean, room: [ :string, NULLABLE ],
         t_c: [ :number, NULLABLE ], hardened_at: [ :number, NULLABLE ], usable_until: [ :number, NULLABLE ],
         usable_min: [ :number, NULLABLE ], closed: :boolean, thrown_away: :boolean, complete: :boolean,
         batch: [ "{ id: number; code: string; left_g: number }", NULLABLE ], serves: "string[]",
         piece_id: [ :number, NULLABLE ], steps: "Array<{ after?: string | null; do: string; min: number }>",
         cautions: "string[]"
  many :pours, resource: PourSerializer
  many :options, resource: PourOptionSerializer
  many :log, resource: PouredSerializer
end
