# Everyday questions of the mixing bench: typed as one would write them on a can lid, answered by the core with what
# is to be drawn.
class Sums::Answer
  Typed = Rhexon::Typed
  Cut = Rhexon::Mixing::Cut
  AREA = /\A\s*([\d.,]+)\s*(m2|m²|sqm|ft2|ft²|sqft)?\s*\z/i

  # What an amount of a cut to make is: its bare unit, its kind, and what a wrong one is told.
  MADE_OF = {
    "solution" => [ :ml, :volume, "a weight; choose the flake there is, if it is of flake" ],
    "flake" => [ :g, :mass, "a volume, and flake is weighed" ],
    "spirit" => [ :ml, :volume, "a weight, and spirit is measured by volume" ]
  }.freeze
  private_constant :MADE_OF

  # Where the core names a place that the page calls otherwise.
  FIELDS = { "spirit/water_percent" => "water", "grits" => "grit" }.freeze

  # @param sum [String]
  # @param fields [Hash{String=>String}] as typed
  # @param numbers [String] scale of a grit that is a number alone: P or cami
  # @return [Hash] figures to read and numbers to draw
  # @raise [Rhexon::InvalidInput] naming the field
  def self.answer(sum, fields, numbers: "P")
    unless %w[thin_cut after_adding make_cut thin share film spread grit].include?(sum)
      raise Rhexon::InvalidInput.new("There is no such sum", where: "sum")
    end

    new(fields, numbers).send(sum)
  rescue Rhexon::InvalidInput => refusal
    raise Rhexon::InvalidInput.new(refusal.message, where: FIELDS.fetch(refusal.where, refusal.where))
  end

  def initialize(fields, numbers)
    @fields = fields
    @numbers = numbers
  end

  private

  def thin_cut
    Rhexon::Mixing::Cuts.check_spirit!("water_percent" => number("water", optional: true) || 0)
    stock = cut("stock")
    result = Rhexon::Mixing::Cuts.change(stock, solution_ml: solution_ml(stock), to: cut("to"))
    cut_figures(result, stock)
  end

  def cut_figures(result, stock)
    { add_spirit_ml: result.add_spirit_ml, add_flake_g: result.add_flake_g, solution_ml: result.solution_ml,
      stock_ml: result.stock_ml, lb: result.cut.lb_per_gal, g_per_l: result.cut.g_per_l,
      rule_lb: result.rule_of_thumb_lb_per_gal, off_percent: result.off_percent,
      solids_percent: result.cut.solids_volume_percent, flake_g: result.flake_g,
      flake_ml: result.flake_g / stock.resin_density_g_per_ml, spirit_ml: result.spirit_ml }
  end

  def make_cut
    Rhexon::Mixing::Cuts.check_spirit!("water_percent" => number("water", optional: true) || 0)
    wanted = cut("cut")
    result = made(wanted, Typed.read(@fields["amount"], unit: MADE_OF.dig(made_of, 0), where: "amount"))
    { flake_g: result.flake_g, flake_ml: result.flake_g / wanted.resin_density_g_per_ml, spirit_ml: result.spirit_ml,
      solution_ml: result.solution_ml, lb: wanted.lb_per_gal, g_per_l: wanted.g_per_l,
      solids_percent: wanted.solids_volume_percent,
      dissolving_h: Rhexon::Mixing::Cut.defaults.dissolving_h }
  end

  # What is typed is the solution that is wanted, or the flake or the spirit that is there.
  def made_of = MADE_OF.key?(@fields["of"]) ? @fields["of"] : "solution"

  def made(wanted, typed)
    _, kind, asks = MADE_OF.fetch(made_of)
    Rhexon.refuse_unless(typed.kind == kind, "#{@fields["amount"].to_s.strip} is #{asks}", where: "amount",
                         accepted: kind == :mass ? "a weight such as 2 oz" : "a volume such as 500 ml")
    case made_of
    when "flake" then Rhexon::Mixing::Cuts.from_flake(wanted, flake_g: typed.value)
    when "spirit" then Rhexon::Mixing::Cuts.from_spirit(wanted, spirit_ml: typed.value)
    else Rhexon::Mixing::Cuts.make(wanted, solution_ml: typed.value)
    end
  end

  # Spirit is poured into a cut that stands there: what it is then.
  def after_adding
    Rhexon::Mixing::Cuts.check_spirit!("water_percent" => number("water", optional: true) || 0)
    stock = cut("stock")
    cut_figures(Rhexon::Mixing::Cuts.thinned(stock, solution_ml(stock), ml("add")), stock)
  end

  def thin
    base = ml("amount")
    percent = number("percent")
    both = %w[base total].to_h { |of| [ of, Rhexon::Mixing::Thinning.thinner_ml(base, percent, of: of) ] }
    solids = number("solids", optional: true)
    { base_ml: base, percent: percent, of_base_ml: both["base"], of_total_ml: both["total"],
      same_as_total: Rhexon::Mixing::Thinning.other_percent(percent, of: "base"),
      same_as_base: Rhexon::Mixing::Thinning.other_percent(percent, of: "total"),
      solids_of_base: solids &&
        Rhexon::Mixing::Thinning.solids_percent([ [ base, solids ], [ both["base"], 0 ] ]), solids_of_total: solids &&
          Rhexon::Mixing::Thinning.solids_percent([ [ base, solids ], [ both["total"], 0 ] ]) }
  end

  def share
    part = ->(name, parts, density) {
      {
        "name" => name, "parts" => parts, "basis" => @fields["basis"] == "mass" ? "mass" : "volume",
        "density_g_per_ml" => density
      }
    }
    recipe = Rhexon::Mixing::Recipe.new([
                                          part.("base", number("base_parts"), number("base_density")),
                                          part.("added", number("added_parts"), number("added_density"))
                                        ])
    readings = recipe.readings.map { |reading| reading.to_h { |(of, basis), value| [ "#{of}_#{basis}", value ] } }
    {
      base: readings[0], added: readings[1],
      to_100: { volume: 100 * recipe.unit_ml[1] / recipe.unit_ml[0], mass: 100 * recipe.unit_g[1] / recipe.unit_g[0] }
    }
  end

  def film
    density = number("density")
    typed = Typed.read(@fields["used"], where: "used")
    grams = typed.kind == :mass ? typed.value : typed.value * density
    area = area("area")
    share = number("landed") / 100.0
    Rhexon.refuse_unless(share.positive? && share <= 1, "#{@fields["landed"]} % cannot land on the piece",
                         where: "landed", accepted: "more than 0 and up to 100 %")
    wet = Rhexon::Mixing::Laying.film_um(used_g: grams, density_g_per_ml: density, area_m2: area,
                                         transfer_efficiency: share)
    solids = number("solids")
    {
      g_per_m2: grams / area, wet_um: wet, wet_mil: wet / Rhexon::Units::MIL_UM,
      dry_um: Rhexon::Film::Coat.dry_um(wet, solids),
      dry_mil: Rhexon::Film::Coat.dry_um(wet, solids) / Rhexon::Units::MIL_UM
    }
  end

  def spread
    wet = Rhexon::AsTyped.film_um(@fields["film"], where: "film", density_g_per_ml: number("density", optional: true))
    Rhexon.refuse_unless(
      wet.positive? && wet <= 2000, "#{@fields["film"].inspect} is no wet film", where: "film",
      accepted: "more than 0 and up to 2000 µm"
    )
    efficiency = Rhexon::Mixing::Laying.efficiency(@fields["method"].presence || "brush", @fields["gun"].presence,
                                                   false)
    { wet_um: wet, m2_per_l: Rhexon::Units.spread_m2_per_l(wet),
      ft2_per_gal: Rhexon::Units.spread_ft2_per_gal(wet / Rhexon::Units::MIL_UM), landed_percent: efficiency * 100,
      real_m2_per_l: Rhexon::Units.spread_m2_per_l(wet) * efficiency,
      real_ft2_per_gal: Rhexon::Units.spread_ft2_per_gal(wet / Rhexon::Units::MIL_UM) * efficiency }
  end

  def grit
    abrasive = Rhexon::Prep::Abrasive.read(@fields["grit"], bare: @numbers)
    other = abrasive.counterpart
    {
      grit: abrasive.to_s, mean_um: abrasive.mean_um, other: other.to_s, other_um: other.mean_um,
      scales: { "P" => "P", "unprefixed" => "cami" }.to_h { |name, scale|
        [ name, Rhexon::Prep::Abrasive.all(scale).map { |abrasive| [ abrasive.to_s, abrasive.mean_um ] } ]
      }
    }
  end

  # A jar that was weighed is turned into ml by its own density.
  def solution_ml(cut)
    typed = Typed.read(@fields["amount"], unit: :ml, where: "amount")
    typed.kind == :mass ? typed.value / cut.density_g_per_ml : typed.value
  end

  def ml(field) = Typed.read(@fields[field], wants: :volume, unit: :ml, where: field).value

  def number(field, optional: false)
    return if optional && @fields[field].to_s.strip.empty?

    decimal(@fields[field], field)
  end

  def decimal(text, field)
    Typed.figure(text, where: field).tap { |value| refuse(field, "a number") unless value.finite? }
  end

  def area(field)
    match = AREA.match(@fields[field].to_s) or refuse(field, "an area such as 1.2 m² or 13 ft²")
    value = decimal(match[1], field) *
      (match[2].to_s.downcase.start_with?("ft", "sqft") ? Rhexon::Units::SQ_FT_M2 : 1)
    Rhexon.refuse_unless(
      value.positive?, "#{@fields[field].inspect} is no area", where: field, accepted: "more than 0 m²"
    )
    value
  end

  def cut(field) = Rhexon::Mixing::TypedCut.read(@fields[field], where: field)

  def refuse(field, accepted)
    raise(
      Rhexon::InvalidInput.new("#{@fields[field].to_s.inspect} is not understood", where: field, accepted: accepted)
    )
  end
end
