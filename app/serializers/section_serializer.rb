class SectionSerializer < ApplicationSerializer
  fields face: :string, wood: :string, film_um: :number, sd_um: :number, least_um: [ :number, { nullable: true } ]
  many :layers, resource: LayerSerializer
  many :stains, resource: StainSerializer
  many :abrasions, resource: AbrasionSerializer
end
