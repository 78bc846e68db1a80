# What is mixed for one pass, and in which batches.
class RowMixSerializer < ApplicationSerializer
  fields laid_ml: :number, gross_ml: :number, mixed_ml: :number, left_behind_ml: :number, left_in: :string,
         margin_percent: :number,
         transfer_percent: :number, wiped: :boolean, total_g: :number, known: :boolean,
         solids_percent: [ :number, NULLABLE ], hardener_range: [ "[number, number]", NULLABLE ],
         hardener_parts: [ :number, NULLABLE ], thinning_range_percent: [ "[number, number]", NULLABLE ],
         thinning_of: :string, efflux_s: [ :number, NULLABLE ], drops: [ :number, NULLABLE ],
         voc: [ "{ ready_g_per_l: number; less_water_g_per_l: number }", NULLABLE ]
  typelize pours: "Array<{ name: string; g: number; ml: number; estimate: boolean }>",
           batches: "Array<{ id: string; mixed_at: number; usable_until: number | null; used_until: number; ml: " \
                    "number; coats: number; short: boolean; first: string }>"
  attribute(:pours) do |mix|
    mix.pours.map do |pour|
      { name: pour.name, g: pour.g.round(1), ml: pour.ml.round, estimate: pour.component.estimate? }
    end
  end
  attribute(:batches) do |mix|
    mix.batches.map do |batch|
      {
        id: batch.id, mixed_at: batch.mixed_at, usable_until: batch.usable_until, used_until: batch.used_until,
        ml: batch.ml.round, coats: batch.passes.size, short: batch.short?, first: batch.passes.first
      }
    end
  end
end
