# What a schedule takes and the shelf has not: put on its list once, with the figures of its kind.
module Product::ToBuy
  MAKER = "To buy:".freeze
  ROLES = { "shellac" => "sealer", "vinyl_sealer" => "sealer", "waterborne_primer" => "primer", "wax" => "wax",
            "siccative_oil" => "oil", "raw_oil" => "oil", "waterborne_filler" => "pore filler",
            "paste_filler_oil" => "pore filler", "pigment_oil_stain" => "stain", "water_dye" => "dye" }.freeze
  private_constant :ROLES

  module_function

  # @param record [Hash] a product of rhexon-shop/1: "name", "class", "colour", "sheen_gu"
  # @return [Product] the next schedule that takes the same finds it there
  def listed(record)
    kind, colour, sheen = record.values_at("class", "colour", "sheen_gu")
    name = record["name"].sub(/^./, &:downcase)
    name = "#{name}, #{sheen.round} GU" if sheen
    Product.find_by(maker: MAKER, kind: kind, name: name) ||
      Product.create!(maker: MAKER, name: name, kind: kind, colour: colour, role: ROLES.fetch(kind, "top coat"),
                      code: Product.free_code(name),
                      figures: { "sheen_gu" => sheen, "source" => "estimate by its kind" }.compact)
  end

  # @param document [Hash] rhexon-schedule/2
  # @param records [Array<Hash>] what is to buy, with the ids that the document has for it
  # @return [Hash] the document with codes of the shelf
  def document(document, records)
    codes = records.to_h { |record| [ record["id"], listed(record).code ] }
    steps = document["steps"].map do |step|
      tint = step["tint"]&.map { |part| part.merge("product" => codes.fetch(part["product"], part["product"])) }
      named = step.slice("product", "thinner").transform_values { |id| codes.fetch(id, id) }
      step.merge(named, { "tint" => tint }.compact)
    end
    document.merge("steps" => steps)
  end
end
