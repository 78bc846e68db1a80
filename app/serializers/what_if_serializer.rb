# What would become of the date.
class WhatIfSerializer < ApplicationSerializer
  fields kind: "'warmer' | 'drier' | 'fans' | 'longer' | 'saturday' | 'change'", label: :string,
         ready_at: [ :number, NULLABLE ], gain_min: [ :number, NULLABLE ], hands_min: :number, film_um: :number,
         operation: [ "Operation", NULLABLE ]
end
