class PlaceSerializer < ApplicationSerializer
  fields x_mm: :number, y_mm: :number, width_mm: :number, height_mm: :number
end
