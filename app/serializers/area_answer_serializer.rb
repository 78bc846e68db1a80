# A large area in sections. Lengths in m, areas in m2, times in minutes.
class AreaAnswerSerializer < ApplicationSerializer
  fields limit_m: :number, strip_m: :number, open_min: :number, sheet_open_min: :number, wet_um: :number,
         area_m2: :number, minutes: :number, ml: :number, all_ml: :number, coats: :number, cut_off: "number[]",
         touch_min: [ :number, NULLABLE ], recoat_min: [ :number, NULLABLE ]
  many :sections, resource: FloorSectionSerializer
end
