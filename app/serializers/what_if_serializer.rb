# What would become of the date.
class WhatIfSerializer < ApplicationSerializer
  fields kind: "'first' | 'second' | 'warmer' | 'drier' | 'fans' | 'longer' | 'saturday' | 'change'", label: :string,
         ready_at: [ :number, NULLABLE ], gain_min: [ :number, NULLABLE ], hands_min: :number, film_um: :number,
         chance: [ :number, NULLABLE ],
         operation: [ "Operation", NULLABLE ]
end
