# A section of a floor: its turn, where it lies in m, its edge, how long it takes and what is staged for it.
class FloorSectionSerializer < ApplicationSerializer
  fields number: :number, live_edge_m: :number, area_m2: :number, minutes: :number, begins_min: :number, ml: :number
  typelize x: :number, y: :number, width: :number, height: :number
  %i[x y width height].each { |side| attribute(side) { |section| section.rectangle[side] } }
end
