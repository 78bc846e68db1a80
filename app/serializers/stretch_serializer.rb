class StretchSerializer < ApplicationSerializer
  fields state: "'too_soon' | 'open' | 'shut' | 'scuffed'", from: :number, to: :number
  typelize over: :boolean
  attribute(:over) { |stretch| stretch.over || false }
end
