class LongSearchSerializer < ApplicationSerializer
  fields state: "'searching' | 'found' | 'stopped' | 'failed'", digest: :string, better: :boolean,
         ready_at: [ :number, NULLABLE ], gain_min: [ :number, NULLABLE ], builds: [ :number, NULLABLE ],
         error: [ :string, NULLABLE ]
end
