# A can or jar.
class BatchPageSerializer < ApplicationSerializer
  fields batch: "Batch", moves: "Array<{ id: number; grams: number; reason: string; at: number }>",
         use: "{ serves: string[]; components: Array<{ name: string; g: number }>; film_um: number | null; " \
              "planned_um: number | null; area_m2: number | null }"
end
