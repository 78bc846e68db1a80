require "test_helper"

# The look after every step, casts, recipes, fits: behaviour that must hold, and small cases by hand.
class LooksTest < CoreTest
  DYE = {
    "id" => "dye", "name" => "Russet dye", "class" => "water_dye", "colour" => "tinted",
    "optics" => { "kind" => "dye", "bands" => [ [ 420, 45, 3.0 ], [ 530, 40, 1.6 ] ] }
  }.freeze
  GREEN = {
    "id" => "green", "name" => "Green", "class" => "waterborne_one_part", "colour" => "pigmented", "sheen_gu" => 30,
    "optics" => { "kind" => "film", "bands" => [ [ 430, 50, 0.15 ], [ 650, 60, 0.2 ] ], "s" => 0.06 }
  }.freeze
  WHITE = {
    "id" => "white", "name" => "White", "class" => "waterborne_one_part", "colour" => "pigmented",
    "optics" => { "kind" => "film", "k" => [ 0.0 ] * 31, "s" => 0.05 }
  }.freeze

  def shelf
    @shelf ||= [ *PRODUCTS, DYE, GREEN, WHITE ].to_h do |record|
      [ record["id"], Rhexon::Materials::Product.read(record) ]
    end
  end

  def wood(species = "elm", board = "mean") = Rhexon::Colour::Wood.for_species(species, board)
  def looks(*steps, wood: self.wood, **options) = Rhexon::Colour::Looks.new(wood, steps, shelf, **options)
  def labs(...) = looks(...).stages.map { |stage| stage.look.lab }
  def dye(id = "s2", **fields) = step(id, "stain", product: "dye", method: "wipe", **fields)

  def test_every_step_that_changes_the_look_has_a_stage_the_bare_wood_first
    stages = looks(step("s1", "sand", grits: %w[P150 P180]), dye, coat("s3", coats: 2)).stages
    assert_equal [ nil, "s2", "s3", "s3" ], stages.map { |stage| stage.step && stage.step["id"] }
    [ 64.5, 8.0, 21.5 ].zip(stages.first.look.lab).each { |wanted, found| assert_in_delta wanted, found, 1e-3 }
  end

  # A clear film with next to no colour: pale woods darken by 4 to 8, dark ones by 8 to 14.
  def test_the_first_coat_wets_the_wood
    { "sycamore" => 4..8, "elm" => 4..8, "walnut" => 8..14 }.each do |species, range|
      bare, coated = labs(coat("s1", product: "w80"), wood: wood(species))
      assert_includes range, bare[0] - coated[0], species
    end
  end

  def test_a_flat_film_looks_paler_than_a_gloss_one
    gloss, flat = %w[w80 w20].map { |id| labs(coat("s1", product: id)).last }
    assert_operator flat[0] - gloss[0], :>, 1.5
  end

  # q = 1 of the wood and k = 1 of the dye at stock: R∞ of K/S 2 is 1 / (1 + 2 + √8) = 0.17157.
  def test_dye_adds_to_the_absorption_of_the_wood
    plain = Rhexon::Colour::Surface.usual
    ground = Rhexon::Colour::Layer.ground(1.0)
    flat = Rhexon::Colour::Wood.read(reflectance: plain.bare([ ground ] * 31, 1.0).map { |r| r.clamp(0, 1) })
    stain = Rhexon::Materials::Product.read(
      DYE.merge("id" => "one", "optics" => { "kind" => "dye", "k" => [ 1.0 ] * 31 })
    )
    found = Rhexon::Colour::Looks.new(
      flat, [ step("s0", "sand", grits: [ "P180" ]), step("s1", "stain", product: "one", method: "wipe") ],
      { "one" => stain }
    ).final.reflectance.first
    grain = (Rhexon::Prep::Abrasive.read("P180").mean_um / 82.0)**0.15
    assert_in_delta plain.bare([ Rhexon::Colour::Layer.ground(1.0 + grain) ], flat.reflectance.min).first, found, 1e-9
  end

  def test_weaker_finer_washcoated_and_end_grain
    usual = labs(dye).last[0]
    assert_operator labs(dye(thinning: { "percent" => 100, "of" => "base" })).last[0], :>, usual
    assert_operator labs(step("s1", "sand", grits: [ "P400" ]), dye).last[0], :>,
                    labs(step("s1", "sand", grits: [ "P120" ]), dye).last[0]
    assert_operator labs(coat("s1", product: "seal", method: "brush", wet_um: 30, role: "seal"), dye).last[0], :>,
                    labs(coat("s1", product: "seal", method: "brush", wet_um: 30, role: "seal")).last[0] -
                      (64.5 - usual)
    assert_operator labs(dye, end_grain: true).last[0], :<, usual
    assert_equal labs(dye(strength_percent: 50)).last, labs(dye(thinning: { "percent" => 50, "of" => "total" })).last
  end

  # Uptake g (0.12 + 0.88 exp(-d / 6)): a half-pound coat of 2.5 µm 0.70, two 2-lb coats of 15 µm 0.19.
  def test_uptake_falls_smoothly_with_the_sealer
    share = lambda do |um|
      film = looks(coat("s1", product: "seal", method: "brush", wet_um: um / 0.18, role: "seal"), dye)
      film.stages
      film.send(:sealed, Rhexon::Reference.colour.uptake)
    end
    assert_in_delta 0.70, share.(2.5), 0.005
    assert_in_delta 0.19, share.(15.0), 0.005
    assert_in_delta 0.12, share.(90.0), 0.001
  end

  # More sealer never takes colour deeper: under the same clear coats L* rises with it, and a weak sealer is not
  # darker than none before they are on either.
  def test_more_sealer_never_looks_darker
    [ "elm", "sycamore", "walnut" ].each do |species|
      sealed = [ 0, 1, 2, 3, 5, 8, 15, 30 ].map do |um|
        [ (coat("s1", product: "seal", method: "brush", wet_um: um / 0.18, role: "seal") if um.positive?), dye ].compact
      end
      coated = sealed.map { |steps| labs(*steps, coat("s3", product: "w80", coats: 2), wood: wood(species)).last[0] }
      assert_equal coated.sort, coated, "#{species} under clear"
      weak = sealed.first(6).map { |steps| labs(*steps, wood: wood(species)).last[0] }
      assert_equal weak.sort, weak, "#{species} as it dries"
    end
  end

  def test_the_wood_limits_what_more_dye_can_do
    stages = looks(*Array.new(12) { |index| dye("s#{index}", strength_percent: 400) },
                   wood: wood("walnut", "dark")).stages
    assert_match(/hardly moves it: the wood limits this/, stages.last.notes.join)
    assert_empty stages[1].notes
  end

  def test_a_pigmented_film_hides_the_wood_and_its_second_coat_hardly_matters
    elm, walnut = %w[elm walnut].map { |species|
      labs(coat("s1", product: "green", coats: 3), wood: wood(species)).last
    }
    assert_operator Rhexon::Colour::DeltaE.ciede2000(elm, walnut), :<, 0.5
    assert_operator elm[1], :<, -10
  end

  # Yellow grows with thickness and with age; over white it goes yellow, over blue it goes towards green.
  def test_ambering
    thin, thick = [ 1, 4 ].map { |coats|
      labs(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: coats), wood: wood("sycamore")).last
    }
    assert_operator thick[2], :>, thin[2] + 3
    old = labs(
      coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 4), wood: wood("sycamore"), years: 3
    ).last
    assert_operator old[2], :>, thick[2] + 1
    blue = Rhexon::Colour::Wood.read(lab: [ 45, -5, -25 ])
    before, after = labs(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 4), wood: blue).values_at(
      0, -1
    )
    assert_operator after[1], :<, before[1]
  end

  def test_sanding_off_takes_the_colour_with_it
    off = labs(coat("s1", product: "green"),
               step("s2", "level", grits: [ "P150" ], aim: "between", removes_um: 200)).last
    [ 64.5, 8.0, 21.5 ].zip(off).each { |wanted, found| assert_in_delta wanted, found, 1e-3 }
  end

  def test_a_product_without_colour_figures_is_a_gap_that_is_told
    assert_equal [ "Umber oil stain" ], looks(step("s1", "stain", product: "umber", method: "wipe")).final.gaps
  end

  def test_a_cast_in_words
    cast = Rhexon::Colour::Cast.for([ 42, 14, 26 ], [ 45, 20, 26.3 ])
    assert_equal "6 too green, 3 too dark", cast.label
    assert_in_delta(-3, cast.lightness, 1e-9)
    assert_equal "no cast that is seen", Rhexon::Colour::Cast.for([ 45.2, 20, 26 ], [ 45, 20.3, 26 ]).label
  end

  def test_a_metamer_matches_by_day_and_not_by_lamp
    one = Rhexon::Colour::Reflectance.from_lab([ 40, 15, 20 ], Rhexon::Colour::Light.find("D65"))
    other = Rhexon::Colour::Reflectance.from_lab([ 40, 15, 20 ], Rhexon::Colour::Light.find("D65"),
                                                 shape: Array.new(31) { |index| index.even? ? 0.9 : 0.1 })
    bumpy = Rhexon::Colour::Metamerism.for(one, other)
    assert_in_delta 0, bumpy.differences["D65"], 1e-3
    assert_nil Rhexon::Colour::Metamerism.for(one, one).caution
    steep = Rhexon::Colour::Reflectance.from_lab([ 40, 15, 20 ], Rhexon::Colour::Light.find("D65"),
                                                 shape: Array.new(31) { |index| index.between?(12, 18) ? 0.02 : 0.9 })
    assert_match(/matches by day \(0\.0\) and not under the/, Rhexon::Colour::Metamerism.for(one, steep).caution)
  end

  # --- recipes

  def dyes
    [
      [ "yellow", [ [ 430, 40, 9.0 ] ] ], [ "red", [ [ 520, 40, 9.0 ] ] ], [ "blue", [ [ 610, 45, 9.0 ] ] ]
    ].map { |id, bands|
      Rhexon::Materials::Product.read(
        "id" => id, "class" => "water_dye", "colour" => "tinted", "optics" => { "kind" => "dye", "bands" => bands }
      )
    }
  end

  def stained(shares)
    Rhexon::Colour::Spectrum.lab(looks(step("s1", "sand", grits: [ "P180" ])).with_stain(shares),
                                 Rhexon::Colour::Light.find("D65"))
  end

  # A stain is judged under the film it will be seen under: the same as laying that film.
  def test_a_stain_under_a_clear_film_is_seen_as_if_it_were_coated
    grit = step("s1", "sand", grits: [ "P180" ])
    under = Rhexon::Colour::Spectrum.lab(looks(grit).with_stain({ shelf["dye"] => 1.0 }, under_gu: 82),
                                         Rhexon::Colour::Light.find("D65"))
    laid = labs(grit, dye, coat("s3", product: "w80")).last
    assert_operator Rhexon::Colour::DeltaE.ciede2000(under, laid), :<, 0.7
    assert_operator under[0], :<, stained({ shelf["dye"] => 1.0 })[0] - 4
  end

  # A target made from a known recipe is found again.
  def test_a_recipe_that_is_known_is_found_and_can_be_weighed
    yellow, red, blue = dyes
    target = stained({ yellow => 0.20, red => 0.12, blue => 0.05 })
    result = Rhexon::Colour::Recipe.stain(
      looks(step("s1", "sand", grits: [ "P180" ])), target, dyes, batch_g: 500, scale_g: 0.5
    ).result
    best = result.answers.last
    assert_operator best.delta_e, :<, 0.6
    assert_in_delta 100, best.grams["yellow"], 12
    assert_in_delta 60, best.grams["red"], 8
    assert_in_delta 25, best.grams["blue"], 5
    assert best.grams.values.all? { |grams| (grams * 2 % 1).zero? }
    assert_equal result.answers.map(&:delta_e).each_cons(2).all? { |more, less| less < more }, true
    assert_empty result.beyond
    assert_operator best.ten_more["red"][0], :<, 0, "more dye is darker"
    assert_equal result.answers.map(&:grams),
                 Rhexon::Colour::Recipe.stain(
                   looks(step("s1", "sand", grits: [ "P180" ])), target, dyes, batch_g: 500, scale_g: 0.5
                 ).result.answers.map(&:grams)
  end

  def test_oil_and_water_are_not_put_in_one_mix
    yellow, red, = dyes
    oil = Rhexon::Materials::Product.read(red.to_h.merge("id" => "oilred", "carrier" => "mineral_spirit"))
    target = stained({ yellow => 0.20, red => 0.12 })
    answers = Rhexon::Colour::Recipe.stain(looks(step("s1", "sand", grits: [ "P180" ])), target,
                                           [ yellow, oil ]).result.answers
    answers.each { |answer| refute_equal %w[oilred yellow], answer.grams.keys.sort }
    assert_operator answers.last.delta_e, :>, 1
  end

  def test_paler_than_the_wood_cannot_be_reached_by_adding
    result = Rhexon::Colour::Recipe.stain(looks(wood: wood("walnut")), [ 62, 8, 18 ], dyes).result
    assert_empty result.answers
    assert_match(/too dark/, result.cast.label)
    assert_match(/Dyes only darken: a paler base, bleach/, result.beyond.join)
  end

  # Too red: its opposite takes the red out.
  def test_a_cast_is_cancelled_by_a_toner
    seen = looks(dye, coat("s3", product: "w80")).final.reflectance
    red = Rhexon::Colour::Spectrum.lab(seen, Rhexon::Colour::Light.find("D65"))
    result = Rhexon::Colour::Recipe.toner(seen, [ red[0] - 4, red[1] - 6, red[2] ], dyes, gu: 80).result
    best = result.answers.last
    assert_includes best.grams.keys, "blue"
    assert_operator best.delta_e, :<, Rhexon::Colour::DeltaE.ciede2000([ red[0] - 4, red[1] - 6, red[2] ], red) / 2
    assert_match(/colour figures/,
                 refusal { Rhexon::Colour::Recipe.stain(looks, [ 40, 10, 20 ], [ shelf["umber"] ]) }.message)
  end

  # --- fits

  def test_a_strength_is_found_again_from_readings_and_its_range_is_told
    predict = ->(strength, percent) {
      looks(dye(strength_percent: percent),
            strengths: { "dye" => strength }).final.look.lab
    }
    fit = Rhexon::Colour::Fit.strength([ 50, 100, 200 ].map { |percent| [ percent, predict.call(0.7, percent) ] },
                                       &predict)
    assert_in_delta 0.7, fit.values["strength"], 0.005
    assert_operator fit.after, :<, 0.05
    assert_operator fit.before, :>, 1
    assert_equal [ 50, 200 ], fit.range
    assert_match(/3 readings: mean difference \d\.\d before, 0\.0 with/, fit.label)
  end

  def test_surface_shares_are_found_again_from_bare_and_coated_pairs
    own = Rhexon::Colour::Surface.usual("s" => 0.03, "k2w" => 0.35)
    woods = %w[elm sycamore walnut].map { |species| wood(species) }
    under_film = ->(surface, found) {
      Rhexon::Colour::Spectrum.lab(surface.coated(surface.into(found.reflectance)), Rhexon::Colour::Light.find("D65"))
    }
    fit = Rhexon::Colour::Fit.surface(woods.map { |found|
      under_film.call(own, found)
    }) { |surface, index|
      under_film.call(surface, woods[index])
    }
    assert_in_delta 0.03, fit.values["s"], 0.006
    assert_in_delta 0.35, fit.values["k2w"], 0.051
    assert_operator fit.after, :<, 0.7
  end

  # --- woods

  def test_a_wood_is_a_species_a_reading_or_a_spectrum
    assert Rhexon::Colour::Wood.request("lab" => [ 70, 8, 20 ], "species" => "oak").read
    assert_match(/wood "unobtainium" is not known/, refusal { wood("unobtainium") }.message)
    assert_match(/species, a reading or a reflectance/, refusal { Rhexon::Colour::Wood.request({}) }.message)
    Rhexon::Colour::Wood.species.each do |species|
      assert_operator wood(species, "pale").lab[0], :>, wood(species, "dark").lab[0]
    end
  end
end
