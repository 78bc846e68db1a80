# A product as the mixing desk offers it.
class MixableSerializer < ApplicationSerializer
  typelize id: :string, name: :string, mixed: :boolean, thinner: [ :string, NULLABLE ],
           thinning_range: [ "[number, number]", NULLABLE ], thinning_of: "'base' | 'total'",
           hardener: [ :number, NULLABLE ], hardener_range: [ "[number, number]", NULLABLE ]
  attribute(:id) { |product| product.id }
  attribute(:name) { |product| product.name }
  attribute(:mixed) { |product| product.mix.any? }
  attribute(:thinner) { |product| product.thinner_id }
  attribute(:thinning_range) { |product| product.thinning_range_percent }
  attribute(:thinning_of) { |product| product.thinning_of }
  typelize made: :boolean
  attribute(:made) { |product| product.made_of.any? }
  attribute(:hardener) { |product| Rhexon::Mixing::ProductMix.hardener_parts(product, {}) }
  attribute(:hardener_range) do |product|
    product.mix.find { |component| component["role"] == "hardener" }&.fetch("range", nil)
  end
end
