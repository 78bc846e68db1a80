# A way on after an over-pour.
class PourOptionSerializer < ApplicationSerializer
  fields kind: "'top_up' | 'accept' | 'split' | 'discard'", sentence: :string, total_g: :number, extra_g: :number,
         cost: [ :number, NULLABLE ], blocked_by: [ :string, NULLABLE ]
end
