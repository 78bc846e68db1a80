# Products that a file of one piece or board goes out and comes in with.
module Product::Named
  module_function

  # @param parts [Object] steps, layers and whatever else may name products
  # @return [Array<Hash>] products of rhexon-shop/1 that they name, and those that these name
  def in(parts)
    known = Product.all.index_by(&:code)
    found = {}
    waiting = texts(parts)
    until waiting.empty?
      code = waiting.shift
      next if found.key?(code) || !known.key?(code)

      found[code] = known[code].to_core.except("retired")
      waiting.concat(texts(found[code].except("id", "name", "maker", "class", "role", "colour")))
    end
    found.values
  end

  # What stands here for each product of a file, before anything is saved.
  # @param records [Array<Hash>] products of rhexon-shop/1
  # @return [Array<Hash>] FileMatch
  def matches(records)
    records.map do |record|
      offered = Product.where(kind: record["class"]).order(:maker, :name)
      { id: record["id"], name: [ record["maker"], own_name(record) ].compact_blank.join(" "),
        here: known(record)&.code, options: offered.map { |product| [ product.code, product.full_name ] } }
    end
  end

  # Products of a file, as those of this shop: the same by maker and name, or as a hand chose; the rest are taken in.
  # @param records [Array<Hash>] products of rhexon-shop/1
  # @param chosen [Hash{String=>String, nil}] code there => code here; nil: it is new here
  # @return [Array(Hash{String=>String}, Array<String>)] code there => code here; names of those that are new here
  # @raise [Rhexon::InvalidInput]
  def take_in!(records, chosen = {})
    here = records.to_h { |record| [ record["id"], chosen_or_known(record, chosen) ] }
    fresh = records.reject { |record| here[record["id"]] }
    fresh.each { |record| here[record["id"]] = create!(record) }
    codes = here.transform_values(&:code)
    # They may name each other.
    fresh.each { |record| here[record["id"]].then { |one| one.update!(figures: renamed(one.figures, codes)) } }
    [ codes, fresh.map { |record| here[record["id"]].full_name } ]
  end

  # Where a product is named by its code.
  NAMED_BY = %w[product thinner].freeze

  # @param value [Object] parsed JSON
  # @return [Object] the same with the products' codes of this shop
  def renamed(value, codes)
    case value
    when Hash
      # A factor of a trial that varies the product.
      return value.merge("levels" => value["levels"].map { |one| codes.fetch(one, one) }) if varies_product?(value)

      value.to_h { |key, inner| [ key, NAMED_BY.include?(key) ? codes.fetch(inner, inner) : renamed(inner, codes) ] }
    when Array then value.map { |inner| renamed(inner, codes) }
    else value
    end
  end

  def varies_product?(value) = value["field"] == "product" && value["levels"].is_a?(Array)
  private_class_method :varies_product?

  def texts(value)
    case value
    when Hash then value.values.flat_map { |inner| texts(inner) }
    when Array then value.flat_map { |inner| texts(inner) }
    when String then [ value ]
    else []
    end
  end
  private_class_method :texts

  def chosen_or_known(record, chosen)
    return known(record) unless chosen.key?(record["id"])

    code = chosen[record["id"]] or return
    Product.find_by(code: code, kind: record["class"]) ||
      raise(Rhexon::InvalidInput.new("#{code} does not stand for #{record["name"]}", where: "matches",
                                     accepted: Product.where(kind: record["class"]).pluck(:code).join(", ")))
  end
  private_class_method :chosen_or_known

  # By maker and name; a code is a shop's own, and stands for a product only where the file does not name it otherwise.
  def known(record)
    same = Product.find_by(maker: record["maker"].to_s, name: own_name(record), kind: record["class"])
    return same if same

    found = Product.find_by(code: record["id"], kind: record["class"]) or return
    found if record["maker"].blank? || (record["maker"] == found.maker && record["name"].blank?)
  end
  private_class_method :known

  def create!(record)
    taken = Product.exists?(code: record["id"])
    name = own_name(record)
    product = Product.new(maker: record["maker"].presence || "Unknown", name: name, kind: record["class"],
                          role: record["role"].presence || "top coat", colour: record["colour"].presence || "clear",
                          code: taken ? Product.free_code(name) : record["id"],
                          figures: record.except("id", "name", "maker", "class", "role", "colour", "retired"))
    product.save || raise(Rhexon::InvalidInput.new("#{record["name"]} cannot be taken in: " \
                                                   "#{product.errors.first.message}", where: "products"))
    product
  end
  private_class_method :create!

  def own_name(record) = record["name"].to_s.delete_prefix("#{record["maker"]} ").strip
  private_class_method :own_name
end
