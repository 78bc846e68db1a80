# Colour figures of a product from a wood that was read bare, and read again with the product on.
class Product::OwnColour
  # @param value [Rhexon::Materials::Product]
  # @param body [Hash] "wood", "bare" (left out: a mean board of it), "read", and "percent" of a stain, or "coats" and
  #   "method" of a film
  def initialize(value, body)
    @value = value
    @body = body
  end

  # @return [Hash] optics of rhexon-shop/1
  # @raise [Rhexon::InvalidInput]
  def optics
    Rhexon.refuse_unless(Rhexon::Colour::OwnOptics.way(@value), "#{@value.name} colours nothing by itself",
                         where: "product", accepted: "a stain, an oil or a film")
    Rhexon::Colour::OwnOptics.from(
      @value, wood: wood, read: lab("read"), surface: surface, percent: number("percent", 100, 1..400),
              coats: number("coats", 1, 1..30), method: method
    )
  end

  # @return [String] "read on oak"
  def words = "read on #{@body["wood"]}"

  private

  def wood
    return Rhexon::Colour::Wood.for_species(@body["wood"]) if @body["bare"].blank?

    Rhexon::Colour::Wood.read(species: @body["wood"], lab: lab("bare"))
  end

  def lab(field)
    Rhexon::Boards::Readings.check("lab", @body[field])
  rescue Rhexon::InvalidInput => refusal
    raise Rhexon::InvalidInput.new("That is no reading", where: field, accepted: refusal.accepted)
  end

  def number(field, usual, range)
    given = @body[field] || usual
    Rhexon.refuse_unless(given.is_a?(Numeric) && range.cover?(given), "#{given} is no number of #{field}", where: field,
                                                                      accepted: "#{range.begin} to #{range.end}")
    given
  end

  def method = (@body["method"] if @value.methods_known.include?(@body["method"]))
  def surface = Rhexon::Colour::Surface.usual(Board::Lessons.current.surface_shares)
end
