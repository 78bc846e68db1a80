# A day on which a board is looked at again.
class RelookSerializer < ApplicationSerializer
  fields days: :number, on: :string, state: "'done' | 'due' | 'coming'"
end
