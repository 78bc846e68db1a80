class SectionSerializer < ApplicationSerializer
  fields face: :string, wood: :string, film_um: :number, sd_um: :number, least_um: [ :number, { nullable: true } ]
  attribute(:pores) { |section| { depth_um: section.pores.depth_um, filled: section.pores.filled } }
  typelize pores: "{ depth_um: number; filled: Array<[number, number]> }"
  many :layers, resource: LayerSerializer
  many :stains, resource: StainSerializer
  many :abrasions, resource: AbrasionSerializer
end
