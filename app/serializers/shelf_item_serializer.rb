# A product as the step form offers it: with the methods it has a film figure for.
class ShelfItemSerializer < ApplicationSerializer
  typelize id: :string, name: :string, role: :string, mechanism: :string, film: :boolean, wet_um: "Record<string, number>", solids_volume_percent: [ :number, { nullable: true } ], estimate: :boolean
  attribute(:id) { |product| product.id }
  attribute(:name) { |product| product.name }
  attribute(:role) { |product| product.role }
  attribute(:mechanism) { |product| product.mechanism }
  attribute(:film) { |product| product.film? }
  attribute(:wet_um) { |product| product.methods_known.to_h { |method| [ method, product.wet_um(method).value ] } }
  attribute(:solids_volume_percent) { |product| product.solids_volume_percent&.value }
  attribute(:estimate) { |product| product.solids_volume_percent.nil? || product.solids_volume_percent.estimate }
end
