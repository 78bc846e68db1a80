class WornSerializer < ApplicationSerializer
  fields id: :string, name: :string, unit: :string, need: :number, left: :number, short: :number, packs: :number,
         pack: :number, cost: [ :number, NULLABLE ]
end
