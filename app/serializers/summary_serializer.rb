class SummarySerializer < ApplicationSerializer
  fields lab: [ "[number, number, number]", NULLABLE ], photo_lab: [ "[number, number, number]", NULLABLE ],
         gloss: [ :number, NULLABLE ], blotch: [ :number, NULLABLE ], liking: [ :number, NULLABLE ],
         delta_e: [ :number, NULLABLE ], count: :number, means: "Record<string, number>"
  typelize hex: [ :string, NULLABLE ]
  attribute(:hex) { |summary| summary.lab && Rhexon::Colour::Lab.hex(summary.lab) }
end
