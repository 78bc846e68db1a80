# Cans and jars.
class BatchesPageSerializer < ApplicationSerializer
  fields view: "'batches'", found: [ :string, NULLABLE ], batches: "Batch[]",
         products: "Array<{ id: number; name: string }>", today: :string
end
