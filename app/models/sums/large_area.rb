# A floor, hall or wall laid on in sections: what was sketched and chosen, reckoned by the core. Nothing is kept.
class Sums::LargeArea
  TOOLS = Rhexon::Reference.hands.strip_m.keys.freeze
  # A first sketch: a hall with a corridor that leads out.
  FIRST = {
    "parts" => [ [ 0, 0, 9, 6 ], [ 9, 2, 4, 1.5 ] ], "exit" => [ 13, 2.75 ], "tool" => "roller", "strips" => "along",
    "coats" => 2
  }.freeze

  # @param fields [Hash] parts, exit, product, room, tool, strips, rate, coats
  # @return [Hash] sections and sums
  # @raise [Rhexon::InvalidInput]
  def self.answer(fields) = new(fields).answer

  # What can be chosen.
  # @return [Hash]
  def self.choices
    products = Shelf.offered.select { |product| product.film? && !product.helper? && product.open_time_min&.value }
    {
      products: products.map { |product| { code: product.id, name: product.name } },
      rooms: Room.order(:id).pluck(:name), tools: TOOLS,
      rates: Rhexon::Reference.hands.floor_rate_m2_per_h
    }
  end

  def initialize(fields)
    @fields = fields
  end

  def answer
    sections = Rhexon::Areas::Sections.new(parts, exit: exit, limit_m: limit_m, rate_m2_per_h: rate,
                                                  ml_per_m2: ml_per_m2, strips: strips)
    { limit_m: limit_m, strip_m: strip_m, open_min: open_min, sheet_open_min: product.open_time_min.value,
      wet_um: wet_um, area_m2: sections.area_m2, minutes: sections.minutes, ml: sections.ml,
      all_ml: sections.ml * coats, coats: coats, cut_off: sections.cut_off,
      touch_min: reached("touch"), recoat_min: reached("recoat_opens"),
      sections: sections.all.map { |section|
        {
          number: section.number, x: section.rectangle.x, y: section.rectangle.y, width: section.rectangle.width,
          height: section.rectangle.height, live_edge_m: section.live_edge_m, area_m2: section.area_m2,
          minutes: section.minutes, begins_min: section.begins_min, ml: section.ml
        }
      } }
  end

  private

  def parts
    typed = @fields["parts"]
    Rhexon.refuse_unless(typed.is_a?(Array) && typed.size <= 40, "A large area has 1 to 40 parts", where: "parts")
    typed
  end

  def exit
    typed = @fields["exit"]
    Rhexon.refuse_unless(
      typed.is_a?(Array) && typed.size == 2 &&
        typed.all? { |side| side.is_a?(Numeric) && side.between?(-1000, 1000) },
      "The exit is a place in the sketch", where: "exit", accepted: "x and y in m"
    )
    typed
  end

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

  def tool
    Rhexon.refuse_unless(
      TOOLS.include?(@fields["tool"]), "That is no tool for a large area", where: "tool", accepted: TOOLS.join(", ")
    )
    @fields["tool"]
  end

  def strips
    Rhexon.refuse_unless(
      %w[along x y].include?(@fields["strips"]), "Strips run along the longer side, across or up the sketch",
      where: "strips", accepted: "along, x, y"
    )
    @fields["strips"]
  end

  def rate
    number("rate", Rhexon::Reference.hands.floor_rate_m2_per_h.fetch(tool), 0.5..500, "m²/h")
  end

  def coats = number("coats", 1, 1..10, "coats").to_i
  def wet_um = number("wet_um", product.wet_um(laid)&.value || 100, 5..300, "µm")

  # The floor applicator leaves what a roller leaves.
  def laid = tool == "applicator" ? "roller" : tool

  # What is left empty is as usual.
  def number(name, usual, range, unit)
    given = @fields[name].to_s.strip
    value = given.empty? ? usual : Float(given.tr(",", "."), exception: false)
    Rhexon.refuse_unless(value && range.cover?(value), "#{name.tr("_", " ").capitalize} cannot be #{given}",
                         where: name, accepted: "#{range.min} to #{range.max} #{unit}")
    value
  end

  def climate = @climate ||= room.air_at

  def open_min
    Rhexon::Areas::WetEdge.open_min(product, climate) ||
      raise(
        Rhexon::InvalidInput.new(
          "#{product.name} gives no open time", where: "product", accepted: "one whose sheet does"
        )
      )
  end

  def limit_m = Rhexon::Areas::WetEdge.longest_m(rate_m2_per_h: rate, open_min: open_min, strip_m: strip_m)
  def strip_m = Rhexon::Reference.hands.strip_m.fetch(tool)

  def ml_per_m2
    Rhexon::Mixing::Laying.for_area(area_m2: 1.0, wet_um: wet_um, method: laid, left_behind_ml: 0).gross_ml
  end

  def reached(milestone)
    coat = Rhexon::Drying::Milestones::Coat.new(product: product, method: laid, wet_um: wet_um, earlier_coats: 0)
    Rhexon::Drying::Milestones.new(coat, room.line, Time.current.to_i / 60)[milestone]&.minutes&.then do |minutes|
      minutes.finite? ? minutes.round : nil
    end
  end
end
