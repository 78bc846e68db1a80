class FaceSerializer < ApplicationSerializer
  fields name: :string, area_m2: :number, grain: :string, kind: :string, found: [ "Found", NULLABLE ]
end
