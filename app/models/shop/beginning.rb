# A shop that begins: itself, a room, hours, a pair of hands, and one product of each class to plan with until its own
# stand on the shelf.
class Shop::Beginning
  # Papers of American shops are numbered without a P.
  US_HOUSE = { "grit_numbers" => "cami" }.freeze
  private_constant :US_HOUSE

  attr_reader :errors

  # @param given [Hash] "name", "person", "password", "zone", "units", "currency", "room", "t_c", "rh", "opens" and
  #   "closes"
  def initialize(given)
    @given = given.transform_values { |value| value.to_s.strip }
    @errors = {}
  end

  # @return [Person, nil] who owns it; nil with +errors+ filled
  # @raise [Rhexon::InvalidInput] when there is a shop already
  def begin!
    Rhexon.refuse_unless(Shop.none?, "There is a shop here already", where: "name")
    check(shop, %i[name zone units currency])
    check(room, { name: :room, t_c: :t_c, rh: :rh })
    check(person, { name: :person, password: :password })
    @errors["password"] ||= "Choose a password." if @given["password"].blank?
    check_hours
    return if errors.any?

    ApplicationRecord.transaction do
      [ shop, room, person ].each(&:save!)
      Shop::Hours.replace!(nil, week, [])
      shelf!
      person
    end
  end

  private

  def shop
    @shop ||= Shop.new(name: @given["name"], zone: @given["zone"], scale_g: Devices.scale.resolution_g,
                       house: @given["units"] == "us" ? US_HOUSE : {},
                       **@given.slice("units", "currency").compact_blank)
  end

  def room = @room ||= Room.new(name: @given["room"].presence || "workshop", t_c: @given["t_c"], rh: @given["rh"])
  def person = @person ||= Person.new(name: @given["person"], role: "owner", password: @given["password"])

  # @return [Hash{String=>String}] the week of ShopHours
  def week = (1..5).to_h { |day| [ day.to_s, "#{@given["opens"]}-#{@given["closes"]}" ] }

  def check_hours
    Shop::Hours.check!(week)
  rescue Rhexon::InvalidInput => refusal
    @errors["opens"] = refusal.message
  end

  def check(record, fields)
    return if record.valid?

    names = fields.is_a?(Hash) ? fields : fields.index_with(&:itself)
    record.errors.each { |error| @errors[(names[error.attribute] || error.attribute).to_s] ||= error.message }
  end

  def shelf!
    Rhexon::Reference.classes
      .classes
      .except(*Rhexon::Materials::Product::HELPERS)
      .each do |kind, figures|
        colour = figures.fetch("mechanism") == "penetrating"
        Product.create!(code: kind, name: figures.fetch("name"), maker: "Any", kind: kind, role: role(kind, colour),
                        colour: colour ? "tinted" : "clear")
      end
    Product.create!(code: "water", name: "clean water", maker: "Tap", kind: "thinner", role: "thinner",
                    figures: { "carrier" => "water", "density_g_per_ml" => 1.0 })
  end

  OF_CLASS = { "wax" => "wax", "siccative_oil" => "oil", "raw_oil" => "oil" }.freeze
  private_constant :OF_CLASS

  def role(kind, colour)
    return "pore filler" if kind.include?("filler")

    OF_CLASS.fetch(kind, colour ? "stain" : "film")
  end
end
