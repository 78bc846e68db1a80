# A floor, hall or wall laid on in sections: what was sketched and chosen, reckoned by the core.
class Sums::LargeArea
  # A first sketch: a hall with a corridor that leads out.
  FIRST = {
    "parts" => [ [ 0, 0, 9, 6 ], [ 9, 2, 4, 1.5 ] ], "exit" => [ 13, 2.75 ], "tool" => "roller", "strips" => "along",
    "coats" => 2
  }.freeze
  SKETCH = %w[parts exit tool strips].freeze

  # @param fields [Hash] parts, exit, product, room, tool, strips, rate, coats
  # @return [Hash] sections and sums
  # @raise [Rhexon::InvalidInput]
  def self.answer(fields) = new(fields).answer

  # What a page begins with: a sketch of its own, or that of a piece with the coat that is laid on it last.
  # @param piece [Piece, nil]
  # @return [Hash]
  def self.first(piece)
    begun = { "product" => nil, "room" => nil, **FIRST }
    return begun unless piece

    document = piece.schedule.document
    coat = document["steps"].select { |step| step["kind"] == "coat" }.last || {}
    { **begun, "room" => document["room"], **(piece.sketch || {}), **coat.slice("product", "coats", "room") }
  end

  # What can be chosen.
  # @return [Hash]
  def self.choices
    products = Rhexon::Schedule::Kinds.sorted("coat", Shelf.offered)
      .select { |product| product.open_time_min&.value }.partition { |product| rolls?(product) }.flatten
    {
      products: products.map { |product| { code: product.id, name: product.name, tools: tools(product) } }
        .reject { |product| product[:tools].empty? },
      rooms: Room.order(:id).pluck(:name), tools: Rhexon::Areas::Floor::TOOLS,
      rates: Rhexon::Reference.hands.floor_rate_m2_per_h, woods: Rhexon::Colour::Wood.species,
      jobs: Job.in_hand.map { |job| { id: job.id, client: job.client } }
    }
  end

  # @return [Boolean] its own sheet says how thick it is rolled: it is made for areas
  def self.rolls?(product) = product.wet_um("roller")&.estimate == false

  # What a product can be laid on with, over a large area.
  def self.tools(product)
    known = Rhexon::Schedule::Kinds.methods("coat", product)
    Rhexon::Areas::Floor::TOOLS.select { |tool| known.include?(Rhexon::Areas::Floor.method(tool)) }
  end
  private_class_method :tools

  def initialize(fields)
    @fields = fields
  end

  # @return [Hash] as a piece keeps it
  # @raise [Rhexon::InvalidInput]
  def sketch = @sketch ||= Rhexon::Areas::Floor.check!(@fields.slice(*SKETCH))

  def answer
    refuse_unfit
    sections = floor.sections
    { limit_m: floor.limit_m, strip_m: floor.strip_m, open_min: floor.open_min,
      sheet_open_min: product.open_time_min.value, wet_um: wet_um, area_m2: sections.area_m2,
      minutes: sections.minutes, ml: sections.ml, all_ml: sections.ml * coats, coats: coats,
      cut_off: sections.cut_off, touch_min: reached("touch"), recoat_min: reached("recoat_opens"),
      sections: sections.all }
  end

  def coats = number("coats", 1, 1..10, "coats").to_i
  def wet_um = number("wet_um", product.wet_um(method)&.value, 5..300, "µm")
  def method = Rhexon::Areas::Floor.method(sketch["tool"])

  def product
    @product ||= Shelf.products.fetch(@fields["product"].to_s) do
      raise Rhexon::InvalidInput.new("Choose a product", where: "product")
    end
  end

  def room
    @room ||=
      Room.find_by(name: @fields["room"]) ||
      raise(Rhexon::InvalidInput.new("Choose the air of a room", where: "room"))
  end

  private

  def floor
    @floor ||= Rhexon::Areas::Floor.new(sketch, product: product, climate: room.air_at, wet_um: wet_um,
                                                rate_m2_per_h: rate)
  end

  def rate = number("rate", Rhexon::Areas::Floor.rate(sketch["tool"]), 0.5..500, "m²/h")

  # What is left empty is as usual.
  def number(name, usual, range, unit)
    given = @fields[name].to_s.strip
    value = given.empty? ? usual : Float(given.tr(",", "."), exception: false)
    Rhexon.refuse_unless(value && range.cover?(value), "#{name.tr("_", " ").capitalize} cannot be #{given}",
                         where: name, accepted: "#{range.min} to #{range.max} #{unit}")
    value
  end

  def refuse_unfit
    done = Rhexon::Materials::Methods::DONE.fetch(method)
    Rhexon.refuse_unless(Rhexon::Schedule::Kinds.methods("coat", product).include?(method),
                         "#{product.name} cannot be #{done}: its page gives no wet film for that", where: "tool")
    Rhexon.refuse_unless(floor.open_min, "#{product.name} gives no open time", where: "product",
                                                                            accepted: "one whose sheet does")
  end

  def reached(milestone)
    coat = Rhexon::Drying::Milestones::Coat.new(product: product, method: method, wet_um: wet_um, earlier_coats: 0)
    Rhexon::Drying::Milestones.new(coat, room.line, Time.current.to_i / 60)[milestone]&.minutes&.then do |minutes|
      minutes.finite? ? minutes.round : nil
    end
  end
end
