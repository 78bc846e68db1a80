class ChanceSerializer < ApplicationSerializer
  fields piece: :string, planned_at: [ :number, NULLABLE ], due: [ :number, NULLABLE ], share: [ :number, NULLABLE ],
         unsure: :boolean,
         dots: "number[]", dates: "number[]", runs: :number,
         drivers: "Array<{ key: string; words: string; rank: number }>"
end
