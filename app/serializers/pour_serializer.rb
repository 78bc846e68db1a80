# One component of a mix in the pot.
class PourSerializer < ApplicationSerializer
  fields name: :string, role: :string, share: :string, real: [ :number, NULLABLE ], g: :number, first_g: :number,
         ml: :number, low_add_g: :number, high_add_g: :number, add_g: :number, add_ml: :number, low_add_ml: :number,
         high_add_ml: :number, poured_g: :number, state: "'waiting' | 'short' | 'done'", estimate: :boolean,
         accepted: [ :number, NULLABLE ], note: [ :string, NULLABLE ], shelf_g: [ :number, NULLABLE ]
end
