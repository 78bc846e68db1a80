# What was thrown away of late.
class WasteSerializer < ApplicationSerializer
  fields days: :number, g: :number, cost: :number
end
