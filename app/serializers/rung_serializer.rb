# One rung of a ladder of abrasives.
class RungSerializer < ApplicationSerializer
  fields id: :string, words: :string, mean_um: :number, takes_um: :number, sheen_gu: [ :number, NULLABLE ],
         sheen: [ :string, NULLABLE ], hazy: :boolean
end
