# A colour as it is drawn.
class SwatchSerializer < ApplicationSerializer
  fields lab: "[number, number, number]", hex: :string
end
