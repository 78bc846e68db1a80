# A measure that can be read on a cell.
class MeasureSerializer < ApplicationSerializer
  fields kind: :string, name: :string, unit: :string, accepted: :string
end
