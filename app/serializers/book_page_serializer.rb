# The recipe book: its entries, the one that is open, and the pieces it could be for.
class BookPageSerializer < ApplicationSerializer
  fields recipes: "BookLine[]", recipe: "BookRecipe | null",
         pieces: "Array<{ id: number; name: string; wood: string; client: string; steps: number }>",
         piece: [ :number, NULLABLE ],
         set: "{ values: Record<string, number | string>; products: Record<string, string> }",
         currency: :string, zone: :string, now: :number
end
