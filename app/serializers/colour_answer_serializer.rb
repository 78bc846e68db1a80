# Recipes for a target.
class ColourAnswerSerializer < ApplicationSerializer
  fields delta_start: :number, beyond: "string[]", cast: :string, spread: [ :number, NULLABLE ],
         answers: "Array<{ grams: Array<{ id: string; name: string; grams: number; carries: boolean; ten_more: " \
                  "[number, number, number] }>; carrier_g: number; lab: [number, number, number]; hex: string; " \
                  "delta_e: number; words: string }>",
         metamer: [ :string, NULLABLE ], batch_g: :number
  one :start, resource: SwatchSerializer
  one :target, resource: SwatchSerializer
  one :nearest, resource: SwatchSerializer
end
