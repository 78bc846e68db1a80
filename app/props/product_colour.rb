# How a product colours some woods, and where its colour figures come from.
class ProductColour
  # A pale, a brown and a dark wood, closed and open.
  WOODS = %w[maple oak mahogany walnut].freeze

  # @param product [Product]
  def initialize(product)
    @product = product
    @value = product.to_value
    @way = Rhexon::Colour::OwnOptics.way(@value)
  end

  # @return [Hash, nil] nil: it colours nothing by itself
  def to_h
    return unless @way

    { way: @way, known: optics.known, own: !@product.figures["optics"].nil?,
      source: @product.figures.dig("sources", "optics") || (@product.figures["source"] if @value.optics),
      coats: (@value.methods_known if @way == "film") || [], woods: Rhexon::Colour::Wood.species,
      fields: WOODS.map { |wood| field(wood) } }
  end

  private

  def optics = Rhexon::Colour::Optics.for(@value)

  def field(species)
    wood = Rhexon::Colour::Wood.for_species(species)
    bare, made = [ [], steps ].map do |list|
      Rhexon::Colour::Looks.new(wood, list, { @value.id => @value }).final.look
    end
    { wood: species, bare: bare.hex, made: made.hex, lightness: made.lab[0].round(1) }
  end

  def steps
    return [ { "id" => "s1", "kind" => "stain", "product" => @value.id, **strength } ] if @way == "stain"

    method = @value.methods_known.first
    [ { "id" => "s1", "kind" => "coat", "product" => @value.id, "method" => method, "coats" => 2,
        "wet_um" => @value.wet_um(method).value } ]
  end

  # A concentrate is shown at a share of it.
  def strength
    return {} unless Rhexon::Schedule::Kinds.concentrate?(@value)

    { "strength_percent" => Rhexon::Reference.colour.concentrate_share * 100 }
  end
end
