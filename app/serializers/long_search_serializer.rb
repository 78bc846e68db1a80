# A search for a better plan.
class LongSearchSerializer < ApplicationSerializer
  fields state: "'searching' | 'found' | 'stopped' | 'failed' | 'refused'", digest: :string,
         builds: [ :number, NULLABLE ], error: [ :string, NULLABLE ]
  # What it found would gain, where that is worth asking for.
  typelize better: [ "BetterPlan", NULLABLE ]
  attribute(:better) { |search| search.enough? ? BetterPlanSerializer.new(search.better).to_h : nil }
end
