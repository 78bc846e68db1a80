# A product with every figure, its unit and its source.
class ProductSerializer < ApplicationSerializer
  fields id: [ :number, { nullable: true } ], code: :string, maker: :string, name: :string, kind: :string,
         role: :string, colour: :string, retired: :boolean
  typelize groups: "Array<{ name: string; lines: Array<{ path: string; words: string; unit: string | null; kind: " \
                   "string; value: string; state: 'given' | 'default' | 'missing'; source: string | null; choices: " \
                   "string[] | null; columns: Array<{ words: string; unit: string | null; kind: string; choices: " \
                   "Array<[string, string]> | null; optional: boolean | null }> | null; rows: string[][] | null }> }>",
           mechanism: :string, cautions: "string[]"
  attribute(:retired) { |product| product.retired? }
  attribute(:groups) do |product|
    Rhexon::Materials::ProductFigures.new(product.to_value).groups.map do |group|
      { name: group.name, lines: group.lines.select { |line| Access.whole_shop? || line.path != "packs" }.map(&:to_h) }
    end
  end
  attribute(:mechanism) { |product| product.to_value.mechanism }
  attribute(:cautions) { |product| Rhexon::Materials::Cautions.for(product.to_value, nil).map(&:text) }
end
