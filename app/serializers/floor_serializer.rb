# A floor as a coat of it is laid on: its sections in their turn, and which can serves which.
class FloorSerializer < ApplicationSerializer
  fields limit_m: :number, strip_m: :number
  typelize parts: "Array<[number, number, number, number]>", exit: "[number, number]",
           cans: "Array<{ number: number; ml: number; sections: number[] }>", ml: :number, minutes: :number
  attribute(:parts) { |floor| floor.sketch["parts"] }
  attribute(:exit) { |floor| floor.sketch["exit"] }
  attribute(:ml) { |floor| floor.sections.ml.round }
  attribute(:minutes) { |floor| floor.sections.minutes.round }
  attribute(:cans) { |floor| floor.cans.map(&:to_h) }
  many :sections, resource: FloorSectionSerializer, source: ->(_params) { sections.all }
end
