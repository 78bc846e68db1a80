class MendingWaySerializer < ApplicationSerializer
  fields id: :string, label: :string, ready_at: [ :number, NULLABLE ], later_min: [ :number, NULLABLE ],
         hands_min: :number, film_um: :number
end
