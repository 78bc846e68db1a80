# How fast a product dries in this shop, of what its sheet says, and what each coat taught of it.
class OwnDryingSerializer < ApplicationSerializer
  fields product: :string, name: :string, phase: "'early' | 'hard'", coats: :number, factor: :number, low: :number,
         high: :number, forgotten_at: [ :number, NULLABLE ],
         times: "Array<{ name: string; sheet_min: number; own_min: number; low_min: number; high_min: number }>",
         lessons: "Array<{ at: number; after_min: number; exact: boolean; from: number | null; to: number | null; " \
                  "factor: number; low: number; high: number }>"
end
