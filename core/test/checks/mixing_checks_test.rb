require "test_helper"

# Checks on mixes and stock: each in the case it is for, in its silent case, and its remedies applied.
class MixingChecksTest < CoreTest
  CLEAR = { "id" => "clear", "name" => "Clear", "class" => "waterborne_two_part", "density_g_per_ml" => 1.04,
            "sheen_gu" => 28, "pot_life_by_hardener" => [ [ 8, 300 ], [ 12, 180 ] ], "thinner" => "water",
            "thinning_range_percent" => [ 0, 10 ],
            "mix" => [ { "product" => "hard", "parts" => 10, "role" => "hardener", "range" => [ 8, 12 ] } ] }.freeze
  SHELF = [ CLEAR, CLEAR.merge("id" => "twin", "name" => "Twin", "sheen_gu" => 30),
            { "id" => "hard", "name" => "Hard", "class" => "hardener", "density_g_per_ml" => 1.12 },
            {
              "id" => "water", "name" => "Water", "class" => "thinner", "carrier" => "water", "density_g_per_ml" => 1.0
            },
            {
              "id" => "spirit", "name" => "Dry spirit", "class" => "thinner", "carrier" => "alcohol",
              "density_g_per_ml" => 0.789
            },
            {
              "id" => "rubbing", "name" => "Rubbing spirit", "class" => "thinner", "carrier" => "alcohol",
              "water_percent" => 30
            },
            {
              "id" => "green", "name" => "Green", "class" => "waterborne_one_part", "colour" => "pigmented",
              "density_g_per_ml" => 1.0
            },
            {
              "id" => "gap", "name" => "Gap", "class" => "waterborne_two_part",
              "mix" => [ { "product" => "hard", "parts" => 10, "role" => "hardener" } ]
            } ].freeze

  def shop(*steps, count: 1, area_m2: 1.0, **fields)
    plan(piece(document(*steps), count: count, area_m2: area_m2), **{ products: PRODUCTS + SHELF }, **fields)
  end

  def clear(**fields) = coat("s1", product: "clear", **fields)
  def only(plan, id) = findings(plan, id).tap { |found| assert_equal 1, found.size, id }.first

  def remedied(plan, id, label)
    remedy = only(plan, id).remedies.find { |candidate| candidate.label.match?(label) } or
      flunk("no remedy #{label} among #{only(plan, id).remedies.map(&:label)}")
    plan.with_schedule("top", Rhexon::Schedule::Edit.apply(plan.piece("top").schedule, remedy.operation))
  end

  # 8 pieces of 10 m² take 26 min each, 208, and 10 of set-up; 240 min at 10 parts, 192 usable; 300 at 8 parts, 240
  # usable.
  def test_a_pass_that_outlasts_its_pot_and_three_ways_out
    rooms = [
      { "id" => "bench", "climate" => [ { "t_c" => 20, "rh" => 50 } ] },
      { "id" => "loft", "climate" => [ { "t_c" => 14, "rh" => 50 } ] }
    ]
    long = shop(clear, count: 8, area_m2: 10.0, rooms: rooms)
    assert_equal "stop", only(long, "time.pot_life").level
    [ /2 batches/, /in the loft/, /8 parts of hardener/ ].each do |label|
      assert_empty findings(remedied(long, "time.pot_life", label), "time.pot_life"), label.inspect
    end
    assert_empty findings(shop(clear, count: 4, area_m2: 10.0), "time.pot_life")
  end

  # Epoxy warms itself: 1.1 m² at 150 µm are 187 g of resin in one pot with 23 min of pot life, 18 usable, and 15 min
  # in which to lay it. Smaller pots last longer, so that the fewest that do are offered, and hold when they are
  # planned.
  def test_epoxy_is_split_into_as_few_pots_as_hold
    epoxy = {
      "id" => "e", "name" => "Epoxy", "class" => "epoxy_clear",
      "mix" => [ { "product" => "hard", "parts" => 45, "role" => "hardener" } ]
    }
    made = plan(piece(document(coat("s1", product: "e", method: "brush", wet_um: 150)), area_m2: 4.0),
                products: PRODUCTS + SHELF + [ epoxy ])
    label = only(made, "time.pot_life").remedies.first.label
    fewest = label[/\d+/].to_i
    after = ->(count) {
      made.with_schedule(
        "top",
        Rhexon::Schedule::Edit.apply(made.piece("top").schedule,
                                     { "op" => "change_step", "id" => "s1", "set" => { "batches" => count } })
      )
    }
    assert_empty findings(after.(fewest), "time.pot_life")
    refute_empty findings(after.(fewest - 1), "time.pot_life")
  end

  def test_hardener_outside_its_range
    wrong = shop(clear(hardener_parts: 15))
    assert_equal "stop", only(wrong, "mix.ratio_out").level
    assert_empty findings(remedied(wrong, "mix.ratio_out", /10 parts/), "mix.ratio_out")
    [ clear, clear(hardener_parts: 8) ].each { |fine| assert_empty findings(shop(fine), "mix.ratio_out") }
  end

  # Hardener 10 parts of 8 to 12, 20 % either way: 27 g and more hold at 1 g. Without a range of its own the 2 %: 275 g.
  def test_too_little_for_the_scale
    assert_empty findings(shop(clear, area_m2: 0.2), "mix.too_small"), "the maker's own range judges its hardener"
    assert_empty findings(shop(clear(thinning: { "percent" => 5, "of" => "base" }), area_m2: 0.2), "mix.too_small"),
                 "and its thinner"
    fixed = ->(**fields) { shop(coat("s1", product: "gap"), area_m2: 0.2, **fields) }
    small = fixed.()
    assert_equal "caution", only(small, "mix.too_small").level
    assert_empty findings(remedied(small, "mix.too_small", /by volume/), "mix.too_small")
    assert_empty findings(fixed.(scale: { "resolution_g" => 0.1 }), "mix.too_small")
    assert_empty findings(shop(coat("s1", product: "green"), area_m2: 0.01), "mix.too_small"), "poured as it is"
  end

  def test_thinned_past_the_range_in_either_convention
    far = shop(clear(thinning: { "percent" => 12, "of" => "base" }))
    assert_equal "caution", only(far, "mix.thin_out").level
    assert_empty findings(remedied(far, "mix.thin_out", /10 %/), "mix.thin_out")
    assert_equal 1, findings(shop(clear(thinning: { "percent" => 9.5, "of" => "total" })), "mix.thin_out").size,
                 "9.5 % of the total are 10.5 % of the base"
    assert_empty findings(shop(clear(thinning: { "percent" => 9, "of" => "total" })), "mix.thin_out")
  end

  def test_watered_spirit_in_shellac
    wet = shop(coat("s1", product: "seal", thinning: { "percent" => 50, "of" => "base" }, thinner: "rubbing"))
    assert_equal "stop", only(wet, "mix.water_in_spirit").level
    assert_empty findings(remedied(wet, "mix.water_in_spirit", /Dry spirit/), "mix.water_in_spirit")
    assert_empty findings(
      shop(coat("s1", product: "seal", thinning: { "percent" => 50, "of" => "base" }, thinner: "spirit")),
      "mix.water_in_spirit"
    )
  end

  def test_alcohol_in_a_two_part
    alcohol = shop(clear(thinning: { "percent" => 5, "of" => "base" }, thinner: "spirit"))
    assert_equal "stop", only(alcohol, "mix.thinner_reacts").level
    assert_empty findings(remedied(alcohol, "mix.thinner_reacts", /what its sheet names/), "mix.thinner_reacts")
    assert_empty findings(shop(clear(thinning: { "percent" => 5, "of" => "base" })), "mix.thinner_reacts")
  end

  def test_a_share_by_volume_weighed_with_an_unstated_density
    guessed = shop(coat("s1", product: "gap"))
    finding = only(guessed, "mix.unlike_volume_mass")
    assert_equal({ "name" => "product", "product" => "gap" }, finding.remedies.first.place)
    assert_empty findings(remedied(guessed, "mix.unlike_volume_mass", /by volume/), "mix.unlike_volume_mass")
    assert_empty findings(shop(clear), "mix.unlike_volume_mass")
  end

  def can(product, g, **fields)
    { "id" => "c#{g}#{fields[:lot]}", "product" => product, "g" => g, **fields.transform_keys(&:to_s) }
  end

  def test_short_stock_with_a_stand_in
    hard = can("hard", 500)
    short = shop(clear, stock: [ can("clear", 50), can("twin", 900), hard ])
    assert_match(/50 g are left/, only(short, "stock.short").sentence)
    assert_empty findings(remedied(short, "stock.short", /Twin/), "stock.short")
    assert_empty findings(shop(clear, stock: [ can("clear", 900), hard ]), "stock.short")
    assert_empty findings(shop(clear), "stock.short"), "no stock is kept"
    assert_equal %w[shopping ways], short_places(short)
  end

  # What is not bought any more is on no shopping list: another way is.
  def test_short_of_what_is_not_bought_any_more
    gone = (PRODUCTS + SHELF).map { |product| product["id"] == "clear" ? product.merge("retired" => true) : product }
    short = shop(clear, stock: [ can("clear", 50), can("hard", 500) ], products: gone)
    assert_match(/not bought any more/, only(short, "stock.short").sentence)
    assert_equal %w[ways], short_places(short)
  end

  def short_places(short) = only(short, "stock.short").remedies.filter_map { |one| one.place && one.place["name"] }

  def test_cans_past_their_date
    old = can("green", 900, expires_on: "2026-11-01")
    assert_equal "caution", only(shop(coat("s1", product: "green"), stock: [ old ]), "stock.expired").level
    assert_empty findings(shop(coat("s1", product: "green"), stock: [ old, can("green", 800) ]), "stock.expired")
  end

  def test_a_mix_past_its_date_and_one_to_try_first
    jar = ->(**fields) { shop(coat("s1", product: "seal"), stock: [ can("seal", 500, state: "mixed", **fields) ]) }
    assert_equal "stop", only(jar.call(opened_on: "2026-04-01", expires_on: "2026-10-01"), "mix.expired").level
    assert_equal "note", only(jar.call(opened_on: "2026-07-23", expires_on: "2027-01-23"), "mix.expired").level
    assert_empty findings(jar.call(opened_on: "2026-10-23", expires_on: "2027-04-23"), "mix.expired")
  end

  # 4 m² take 695 g.
  def test_colour_from_two_lots
    lots = [ can("green", 400, lot: "A"), can("green", 400, lot: "B") ]
    green = ->(stock) { shop(coat("s1", product: "green"), area_m2: 4.0, stock: stock) }
    assert_match(/2 lots \(A, B\)/, only(green.call(lots), "stock.lot_mixed").sentence)
    assert_empty findings(green.call(lots.map { |can| can.merge("boxed" => true) }), "stock.lot_mixed")
    assert_empty findings(green.call([ can("green", 900, lot: "A"), can("green", 400, lot: "B") ]), "stock.lot_mixed"),
                 "one lot is enough"
  end
end
