require "test_helper"

# Colour as work: colourants by weight in the mix of a step, the layer they make, and a recipe that becomes a step.
class TintTest < CoreTest
  FLAT = { "kind" => "dye", "k" => [ 50.0 ] * 31 }.freeze
  SHELF = [
    { "id" => "russet", "name" => "Russet dye", "class" => "water_dye", "colour" => "tinted", "density_g_per_ml" => 1.0,
      "optics" => { "kind" => "dye", "bands" => [ [ 430, 45, 12.0 ], [ 535, 36, 3.0 ] ] } },
    { "id" => "base", "name" => "Dye base", "class" => "water_dye", "density_g_per_ml" => 1.0,
      "optics" => { "kind" => "dye", "bands" => [] } },
    { "id" => "oilstain", "name" => "Oil stain", "class" => "pigment_oil_stain", "optics" => FLAT },
    { "id" => "walnut", "name" => "Walnut", "class" => "colourant", "density_g_per_ml" => 1.0, "optics" => FLAT },
    { "id" => "blue", "name" => "Blue", "class" => "colourant", "density_g_per_ml" => 1.06,
      "optics" => { "kind" => "dye", "bands" => [ [ 610, 48, 45 ] ] } },
    { "id" => "lacquer", "name" => "Lacquer", "class" => "nitro_lacquer", "solids_volume_percent" => 20,
      "density_g_per_ml" => 1.0, "sheen_gu" => 80 },
    { "id" => "glaze", "name" => "Glaze medium", "class" => "waterborne_glaze", "role" => "glaze" }
  ].to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }.freeze

  def elm = Rhexon::Colour::Wood.for_species("elm")
  def looks(*steps) = Rhexon::Colour::Looks.new(elm, steps, SHELF)
  def tint(**shares) = shares.map { |id, percent| { "product" => id.to_s, "percent" => percent } }

  def tone(**fields)
    step("s2", "tone", product: "lacquer", method: "spray", wet_um: 25, coats: 1, **fields)
  end

  def mix(step)
    recipe = Rhexon::Mixing::ProductMix.recipe(SHELF.fetch(step["product"]), SHELF, step)
    recipe.components.map(&:name).zip(recipe.mass_shares.map { |share| (share * 100).round(2) })
  end

  # --- the mix

  def test_a_stain_weaker_than_its_stock_is_made_up_with_its_carrier_by_weight
    assert_equal [ [ "Russet dye", 35.0 ], [ "water", 65.0 ] ],
                 mix(step("s1", "stain", product: "russet", method: "wipe", strength_percent: 35))
    assert_equal [ [ "Russet dye", 100.0 ] ],
                 mix(step("s1", "stain", product: "russet", method: "wipe", strength_percent: 140)),
                 "a stronger one is made from its powder"
  end

  def test_colourants_are_weighed_as_shares_of_the_whole_mix
    assert_equal [ [ "Russet dye", 35.0 ], [ "water", 62.0 ], [ "Walnut", 2.0 ], [ "Blue", 1.0 ] ],
                 mix(step("s1", "stain", product: "russet", method: "wipe", strength_percent: 35,
                                         tint: tint(walnut: 2, blue: 1)))
    assert_equal [ [ "Lacquer", 97.0 ], [ "Walnut", 3.0 ] ], mix(tone(tint: tint(walnut: 3)))
  end

  # 3 % of the mix has no solids: by volume, at like densities, 20 % of 97.
  def test_colourants_count_as_carrier_in_the_film
    step = tone(tint: tint(walnut: 3))
    assert_in_delta 19.4, Rhexon::Mixing::ProductMix.solids_percent(SHELF.fetch("lacquer"), SHELF, step), 1e-6
  end

  # --- the look

  # 4 % of a colourant of K 50 in 25 µm wet: 0.04 · 50 · 25 / 100 = 0.5, through which light goes twice: e^-1.
  def test_a_toner_takes_light_by_what_is_laid_on
    clear, toned = [ {}, { tint: tint(walnut: 4) } ].map { |fields| looks(tone(**fields)).final.reflectance }
    surface = Rhexon::Colour::Surface.usual
    inside = [ clear, toned ].map { |reflectance| surface.under_film(reflectance, gu: 80)[15] }
    assert_in_delta Math.exp(-1), inside[1] / inside[0], 1e-5
  end

  def test_twice_as_many_coats_take_twice_as_much
    one = looks(tone(tint: tint(walnut: 4)))
    two = looks(tone(tint: tint(walnut: 2), coats: 2))
    one.final.reflectance.zip(two.final.reflectance).each { |once, twice| assert_in_delta once, twice, 2e-3 }
  end

  def test_what_the_desk_proposes_is_what_the_schedule_shows
    sanded = step("s1", "sand", grits: [ "P180" ])
    target = [ 45.0, 12.0, 24.0 ]
    recipe = Rhexon::Colour::Recipe.stain(looks(sanded), target, SHELF.values_at("russet", "walnut", "blue"))
    recipe.result.answers.each do |answer|
      carrier = SHELF["base"] unless Rhexon::Colour::RecipeStep.carried?(answer.shares.keys, SHELF)
      fields = Rhexon::Colour::RecipeStep.fields(answer.shares, carrier: carrier, products: SHELF)
      made = looks(sanded, step("s2", "stain", method: "wipe", **fields.transform_keys(&:to_sym))).final.look.lab
      answer.lab.zip(made).each { |wanted, found| assert_in_delta wanted, found, 0.05 }
    end
  end

  def test_a_toner_of_the_desk_is_what_the_schedule_shows
    coat = step("s1", "coat", product: "lacquer", method: "spray", wet_um: 100, coats: 1, role: "seal")
    seen = looks(coat).final.reflectance
    wanted = Rhexon::Colour::Spectrum.lab(seen, Rhexon::Colour::Light.find("D65")).zip([ -6, 3, 4 ]).map(&:sum)
    answer = Rhexon::Colour::Recipe.toner(seen, wanted, SHELF.values_at("walnut", "blue"), gu: 80, wet_um: 25)
      .result.answers.last
    fields = Rhexon::Colour::RecipeStep.fields(answer.shares, carrier: SHELF["lacquer"], products: SHELF)
    made = looks(coat, tone(**fields.transform_keys(&:to_sym))).final.look.lab
    answer.lab.zip(made).each { |one, other| assert_in_delta one, other, 0.6, "its carrier is a little yellow" }
  end

  # --- a recipe as a step

  def test_the_largest_stain_carries_the_others
    fields = Rhexon::Colour::RecipeStep.fields({ "walnut" => 0.02, "russet" => 0.4 }, carrier: nil, products: SHELF)
    assert_equal({ "product" => "russet", "strength_percent" => 40.0,
                   "tint" => [ { "product" => "walnut", "percent" => 2.0 } ] }, fields)
    assert_match(/needs something to carry them/,
                 refusal { Rhexon::Colour::RecipeStep.fields({ "walnut" => 0.02 }, carrier: nil, products: SHELF) }
                   .message)
  end

  def test_colour_goes_into_the_wood_before_the_first_coat_and_over_the_seal
    steps = document(
      step("s1", "sand", grits: [ "P180" ]),
      step("s2", "coat", product: "lacquer", method: "spray", wet_um: 80, coats: 1, role: "seal"),
      step("s3", "level", grits: [ "P320" ], aim: "denib"),
      step("s4", "coat", product: "lacquer", method: "spray", wet_um: 100, coats: 2, role: "top")
    )
    assert_equal %w[s1 s3 s3], %w[stain tone glaze].map { |kind| Rhexon::Colour::RecipeStep.after(steps, kind) }
    %w[stain tone].each { |kind| assert_nil Rhexon::Colour::RecipeStep.after(document, kind) }
  end

  def test_what_carries_a_recipe_does_not_change_it
    assert_equal %w[base], Rhexon::Colour::RecipeStep.carriers("stain", SHELF.values).map(&:id)
    assert_equal %w[lacquer], Rhexon::Colour::RecipeStep.carriers("tone", SHELF.values).map(&:id) - %w[glaze]
    assert_equal %w[glaze], Rhexon::Colour::RecipeStep.carriers("glaze", SHELF.values).map(&:id)
  end

  # --- what is accepted

  def check(step) = Rhexon::Schedule::Fitting.check_tint!(step, SHELF)

  def test_colourants_go_into_what_has_their_carrier
    check(tone(tint: tint(walnut: 5, blue: 1)))
    assert_match(/Oil stain does not go into Lacquer. Accepted: Walnut, Blue/,
                 refusal { check(tone(tint: tint(oilstain: 5))) }.message)
    check(step("s1", "stain", product: "base", method: "wipe", tint: tint(russet: 20)))
    assert_match(/named twice/, refusal { check(tone(tint: tint(walnut: 5) + tint(walnut: 1))) }.message)
    full = step("s1", "stain", product: "russet", method: "wipe", strength_percent: 98, tint: tint(walnut: 5))
    assert_match(/come to 5 % of the mix and leave no room for the rest. Accepted: at most 2 %/,
                 refusal { check(full) }.message)
  end

  def test_only_a_glaze_medium_is_glazed_with
    assert_equal %w[wipe brush], Rhexon::Schedule::Kinds.methods("glaze", SHELF["glaze"])
    assert_empty Rhexon::Schedule::Kinds.methods("glaze", SHELF["lacquer"])
    assert_equal [ "spray" ], Rhexon::Schedule::Kinds.methods("tone", SHELF["lacquer"])
  end

  # --- planned and drawn

  def test_glaze_and_toner_are_layers_between_films_and_colour_to_be_gone_through_to
    steps = document(
      step("s1", "sand", grits: [ "P180" ]),
      coat("s2", product: "lacquer", method: "spray", wet_um: 100, role: "seal"),
      step("s3", "glaze", product: "glaze", method: "wipe", wet_um: 8, coats: 1, wipe_off: true, tint: tint(walnut: 6)),
      tone(tint: tint(blue: 2)).merge("id" => "s4"),
      coat("s5", product: "lacquer", method: "spray", wet_um: 100, coats: 2)
    )
    shop = Rhexon::Planning::Shop.new(shop_json(piece(steps), products: SHELF.values.map(&:to_h)))
    plan = Rhexon::Search::Planner.plan(shop)
    film = plan.film("top", "show").final
    assert_equal [ false, true, true, false, false ], film.layers.map(&:coloured)
    # Glaze 8 µm of 35 % less its tint, a tenth of it drunk as a second coat: 2.4; toner 25 µm of 20 %, 4.9.
    assert_in_delta 2.4, film.layers[1].um, 0.1
    assert_in_delta 4.9, film.layers[2].um, 0.1
    assert_in_delta 40, film.clear_over_colour[:face_um], 0.5
    section = Rhexon::Picture::Sheet.new(plan, "top").section
    assert_equal [ "Seal", "Glaze", "Tone", "Coat 1", "Coat 2" ], section.layers.map(&:label)
    assert_equal %w[tinted tinted], section.layers[1, 2].map(&:look)
    pours = plan.batches.find { |batch| batch.product.id == "glaze" }.sheet.pours
    assert_in_delta 6.0, pours.last.g / pours.sum(&:g) * 100, 0.01
  end

  # 5 spots of 4 cm² are 20 cm², at 90 ml/m² 0.18 ml.
  def test_spots_are_touched_up_by_spots_and_by_weight
    mend = step("s2", "mend", way: "touch_up", spots: 5, spot_cm2: 4, product: "lacquer", tint: tint(walnut: 20))
    steps = document(coat("s1", product: "lacquer", method: "spray", wet_um: 100), mend)
    shop = Rhexon::Planning::Shop.new(
      shop_json(piece(steps), products: SHELF.values.map(&:to_h), scale: { "resolution_g" => 0.01 })
    )
    spots = Rhexon::Picture::Sheet.new(Rhexon::Search::Planner.plan(shop), "top").rows.last.spot_mix
    assert_in_delta 0.18, spots[:ml], 0.001
    assert_equal %w[Lacquer Walnut], spots[:parts].map { |part| part[:name] }
    assert_equal [ 2.0, 40 ], spots[:parts].last.values_at(:g, :drops), "a fifth of 10 ml at 1 g/ml"
    assert_equal %w[lacquer], Rhexon::Colour::RecipeStep.carriers("mend", SHELF.values).map(&:id) - %w[glaze]
    assert_match(/Spots are not mended with Walnut/,
                 refusal { Rhexon::Schedule::Fitting.check_product!(mend.merge("product" => "walnut"), SHELF) }.message)
  end
end
