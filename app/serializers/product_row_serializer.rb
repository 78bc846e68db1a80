# A product as the shelf lists it.
class ProductRowSerializer < ApplicationSerializer
  fields id: :number, code: :string, maker: :string, name: :string, kind: :string, role: :string, colour: :string
  typelize class_name: :string, mechanism: :string, left_g: [ :number, NULLABLE ], gaps: "string[]",
           sheen_gu: [ :number, NULLABLE ], solids: [ :number, NULLABLE ], source: [ :string, NULLABLE ],
           retired: :boolean
  attribute(:class_name) { |product| Rhexon::Reference.classes.dig("classes", product.kind, "name") }
  attribute(:retired) { |product| product.retired? }
  attribute(:mechanism) { |product| product.unsound ? "" : product.to_value.mechanism }
  attribute(:left_g) { |_| params[:left]&.round(1) }
  attribute(:gaps) do |product|
    next [ product.unsound ] if product.unsound

    gaps = Rhexon::Materials::ProductFigures.new(product.to_value).gaps
    gaps.select { |line| Access.whole_shop? || line.path != "packs" }.map(&:words)
  end
  attribute(:sheen_gu) { |product| product.figures["sheen_gu"] }
  attribute(:solids) { |product| product.figures["solids_volume_percent"] }
  attribute(:source) { |product| product.figures["source"] }
end
