# A pot on the bench: what is in it and how long it may be used.
class BenchPotSerializer < ApplicationSerializer
  fields path: :string, name: :string, left_g: :number, whole_g: :number, mixed_at: [ :number, NULLABLE ],
         usable_until: [ :number, NULLABLE ], open: :boolean, serves: :number
end
