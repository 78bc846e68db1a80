require "test_helper"

# Colour checks: each in its case, in its ordinary silent case, and with its remedy applied and planned again.
class ColourChecksTest < CoreTest
  # --- colour.over_film: 80 µm of shellac at 18 % leave 7.9 µm on bare wood, which a stain passes; two leave 21
  def test_a_stain_over_a_film_stops_and_a_washcoat_or_thin_seal_does_not
    over = ->(*below) {
      stain = step("s8", "stain", product: "umber", method: "wipe")
      findings(plan(piece(document(*below, stain))), "colour.over_film")
    }
    seal = ->(coats) { coat("s1", product: "seal", wet_um: 80, coats: coats, role: "seal") }
    assert_empty over.() + over.(seal.(1))
    told = over.(seal.(2)).first
    assert_equal [ "stop", "It cannot get into the wood" ], [ told.level, told.title ]
    assert_match(/goes over 21 µm of Dewaxed shellac on show/, told.sentence)
    assert_equal [ nil, "colour" ], told.remedies.map { |remedy| remedy.place && remedy.place["name"] }
  end

  MORE = [
    {
      "id" => "blue", "name" => "Tarn blue dye", "class" => "water_dye", "colour" => "tinted",
      "optics" => { "kind" => "dye", "bands" => [ [ 600, 60, 6.0 ] ] }
    },
    {
      "id" => "narrow", "name" => "Narrow brown", "class" => "water_dye", "colour" => "tinted",
      "optics" => { "kind" => "dye", "bands" => [ [ 580, 15, 20.0 ], [ 470, 15, 8.0 ] ] }
    },
    {
      "id" => "spiritred", "name" => "Spirit red", "class" => "water_dye", "carrier" => "alcohol", "colour" => "tinted",
      "optics" => { "kind" => "dye", "bands" => [ [ 500, 50, 1.0 ] ] }
    },
    {
      "id" => "umberk", "name" => "Umber stain", "class" => "pigment_oil_stain", "colour" => "tinted",
      "optics" => { "kind" => "pigment", "bands" => [ [ 430, 90, 0.8 ] ], "s" => 0.05 }
    },
    {
      "id" => "chalk", "name" => "Chalk white", "class" => "waterborne_one_part", "colour" => "pigmented",
      "optics" => { "kind" => "film", "bands" => [ [ 405, 18, 0.002 ] ], "s" => 0.075 }
    },
    {
      "id" => "moss", "name" => "Moss green", "class" => "waterborne_one_part", "colour" => "pigmented",
      "optics" => { "kind" => "film", "bands" => [ [ 430, 50, 0.10 ], [ 655, 70, 0.16 ] ], "s" => 0.05 }
    }
  ].freeze

  # @param gun [Boolean] one stands in the shop
  def planned(*steps, wood: nil, gun: false, **fields)
    record = piece(document(*steps), wood: "open").merge("wood" => wood, **fields.transform_keys(&:to_s)).compact
    shop = shop_json(record)
    shop["tools"] = [ { "id" => "gun", "for" => "spray" } ] if gun
    Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop.merge("products" => shop["products"] + MORE)))
  end

  def remedied(plan, id, index = 0)
    remedy = findings(plan, id).first.remedies.fetch(index)
    plan.with_schedule("top", Rhexon::Schedule::Edit.apply(plan.piece("top").schedule, remedy.operation))
  end

  def levels(plan, id) = findings(plan, id).map(&:level)
  def sand(id = "s1", *grits) = step(id, "sand", grits: grits.empty? ? %w[P150 P220] : grits)

  def stain(product = "russet", id: "s2", method: "wipe", **fields)
    step(id, "stain", product: product, method: method, **fields)
  end

  def board(*layers, wood: "elm", name: "cell 4") = { "name" => name, "wood" => wood, "layers" => layers }

  # --- colour.no_board
  def laid = [ sand, stain, coat("s3", product: "seal", wet_um: 80, role: "seal"), coat("s4", coats: 2) ]

  def test_a_dye_without_a_board_is_a_caution_and_clear_work_is_none
    finding = findings(planned(*laid, wood: "elm", boards: []), "colour.no_board").first
    assert_equal [ "caution", "s2", "trial" ], [ finding.level, finding.step, finding.remedies.first.place["name"] ]
    assert_empty findings(planned(sand, coat("s4"), wood: "elm", boards: []), "colour.no_board")
    assert_equal [ "note" ], levels(planned(*laid, wood: "elm"), "colour.no_board"), "what is not stated is asked for"
  end

  def test_a_board_laid_on_as_planned_is_silent_whatever_the_coats_and_the_words_of_the_wood
    assert_empty findings(
      planned(*laid, wood: "Elm, quarter sawn elm", boards: [ board(*laid[0..2], coat("s9", coats: 3)) ]),
      "colour.no_board"
    )
  end

  def test_another_timber_preparation_or_method_is_named_and_the_method_can_be_taken_over
    other = [
      sand("s1", "P150", "P180"), stain, coat("s3", product: "seal", wet_um: 70, role: "seal", method: "brush"),
      coat("s4")
    ]
    finding = findings(planned(*laid, wood: "ash", boards: [ board(*other) ]), "colour.no_board").first
    assert_equal %w[timber preparation method], finding.figures[:differences]
    assert_match(
      /the board is elm, the piece ash; sanded to P180 there, P220 here; Dewaxed shellac brushed there, sprayed here/,
      finding.sentence
    )
    same = planned(*laid, wood: "elm", boards: [ board(sand, *other.drop(1)) ])
    assert_empty findings(remedied(same, "colour.no_board"), "colour.no_board")
  end

  def test_another_strength_or_product_is_another_combination_and_the_nearest_board_is_told
    weak = board(sand, stain(strength_percent: 50), *laid.drop(2), name: "cell 1")
    far = board(sand, coat("s4", product: "lacquer"), name: "cell 9")
    finding = findings(planned(*laid, wood: "elm", boards: [ far, weak ]), "colour.no_board").first
    assert_match(/The nearest is cell 1: Russet dye at 50 % there, not here; Russet dye here, not there/,
                 finding.sentence)
  end

  # --- colour.hold_point
  def test_coats_over_a_colour_nobody_approved_are_noted_until_somebody_looks
    plan = planned(*laid, wood: "elm")
    assert_equal [ "note" ], levels(plan, "colour.hold_point")
    assert_empty findings(remedied(plan, "colour.hold_point"), "colour.hold_point")
    assert_empty findings(planned(*laid, wood: "elm", look_approved: true), "colour.hold_point")
    assert_empty findings(planned(sand, coat("s3")), "colour.hold_point")
  end

  # --- colour.bleed
  def test_a_water_carried_coat_brushed_over_water_dye_takes_it_up
    brushed = coat("s3", method: "brush", wet_um: 90)
    plan = planned(sand, stain, brushed, gun: true)
    assert_equal [ "caution" ], levels(plan, "colour.bleed")
    assert_equal 1, findings(planned(sand, stain, brushed), "colour.bleed").first.remedies.size, "nobody said of a gun"
    2.times { |index| assert_empty findings(remedied(plan, "colour.bleed", index), "colour.bleed") }
  end

  def test_sprayed_or_carried_otherwise_it_stays_and_so_does_dry_oil_stain_under_varnish
    assert_empty findings(planned(sand, stain, coat("s3")), "colour.bleed")
    assert_empty findings(planned(sand, stain, coat("s3", product: "seal", method: "brush", wet_um: 70)),
                          "colour.bleed")
    assert_empty findings(planned(sand, stain("umber"), coat("s3", product: "varnish", method: "brush", wet_um: 85)),
                          "colour.bleed")
    assert_equal [ "caution" ],
                 levels(planned(sand, stain("spiritred"), coat("s3", product: "seal", method: "brush", wet_um: 70)),
                        "colour.bleed")
  end

  # --- colour.blotch: pigment wants P220 on spotty woods, dye P180
  def test_pigment_on_coarsely_sanded_cherry_blotches_and_both_ways_mend_it
    plan = planned(sand("s1", "P150", "P180"), stain("umber"), coat("s3"), wood: "cherry")
    assert_equal [ "caution" ], levels(plan, "colour.blotch")
    assert_equal [ /Sand to P240/, /washcoat/ ].map(&:source),
                 findings(plan, "colour.blotch").first.remedies.map { |remedy| remedy.label[/Sand to P240|washcoat/] }
    2.times { |index| assert_empty findings(remedied(plan, "colour.blotch", index), "colour.blotch") }
    walked = Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.for_species("cherry"),
                                       remedied(plan, "colour.blotch", 1).piece("top").schedule["steps"].first(2),
                                       plan.shop.products).final
    assert_operator walked.film_um, :<=, 8.0, "a washcoat is at most 8 um"
  end

  def test_even_woods_finer_sanding_and_dye_at_180_raise_nothing
    assert_empty findings(planned(sand("s1", "P150", "P180"), stain("umber"), coat("s3"), wood: "oak"), "colour.blotch")
    assert_empty findings(planned(sand("s1", "P150", "P220"), stain("umber"), coat("s3"), wood: "cherry"),
                          "colour.blotch")
    assert_empty findings(planned(sand("s1", "P150", "P180"), stain, coat("s3"), wood: "cherry"), "colour.blotch")
  end

  # --- colour.bleed, colour.no_board: a filler is no colour, and touches itself up
  def test_a_filler_over_itself_neither_bleeds_nor_wants_a_board
    putty = { "id" => "putty", "class" => "waterborne_filler", "role" => "putty" }
    made = plan(
      piece(
        document(sand, step("s2", "fill", product: "putty", method: "wipe"),
                 step("s3", "fill", product: "putty", method: "wipe"), coat("s4"))
      ).merge("wood" => "elm", "boards" => []),
      products: PRODUCTS + [ putty ]
    )
    assert_empty findings(made, "colour.bleed") + findings(made, "colour.no_board") +
      findings(made, "colour.hold_point")
  end

  # --- colour.tannin
  def test_pale_waterborne_on_oak_stops_clear_is_a_note_and_shellac_blocks_both
    pale = planned(sand, coat("s3", product: "chalk", coats: 2), wood: "white oak")
    clear = planned(sand, coat("s3"), wood: "oak")
    assert_equal [ %w[stop], %w[note] ], [ pale, clear ].map { |plan| levels(plan, "colour.tannin") }
    [ pale, clear ].each { |plan| assert_empty findings(remedied(plan, "colour.tannin"), "colour.tannin") }
    assert_equal %w[note], levels(planned(sand, coat("s3", product: "moss", coats: 2), wood: "oak"), "colour.tannin"),
                 "brown does not show in dark green"
    assert_empty findings(planned(sand, coat("s3", product: "chalk"), wood: "maple"), "colour.tannin")
    assert_empty findings(planned(sand, coat("s3", product: "varnish", method: "brush", wet_um: 85), wood: "oak"),
                          "colour.tannin")
  end

  # --- colour.amber_*
  def test_varnish_over_blue_goes_green_and_a_water_white_film_does_not
    plan = planned(sand, stain("blue"), coat("s3", product: "varnish", method: "spray", wet_um: 90, coats: 3),
                   wood: "sycamore")
    finding = findings(plan, "colour.amber_on_blue").first
    assert_operator finding.figures[:delta_e], :>, 2.0
    assert_empty findings(remedied(plan, "colour.amber_on_blue"), "colour.amber_on_blue")
    assert_empty findings(planned(sand, stain("blue"), coat("s3"), wood: "sycamore"), "colour.amber_on_blue")
    assert_empty findings(
      planned(sand, stain("umberk"), coat("s3", product: "varnish", wet_um: 90, coats: 3), wood: "oak"),
      "colour.amber_on_blue"
    ),
                 "warm colours stay warm"
    assert_empty findings(planned(sand, coat("s3", product: "waxy", wet_um: 70), wood: "sycamore"),
                          "colour.amber_on_white"),
                 "bare wood is no colour"
  end

  # A white is a little cool, too: it yellows, and only blue turns green.
  def test_varnish_over_white_yellows_and_is_not_told_as_green
    white = { "id" => "snow", "class" => "waterborne_one_part", "colour" => "pigmented",
              "optics" => { "kind" => "pigment", "k" => [ 0.001 ] * 31, "s" => 0.1 } }
    made = plan(piece(document(coat("s1", product: "snow", coats: 2),
                               coat("s2", product: "varnish", method: "brush", wet_um: 85))).merge("wood" => "maple"),
                products: PRODUCTS + [ white ])
    assert_match(/over white it yellows slowly/, findings(made, "colour.amber_on_white").first.sentence)
    assert_empty findings(made, "colour.amber_on_blue")
  end

  # --- colour.unreachable
  def test_a_look_paler_than_a_pale_board_stops
    finding = findings(planned(*laid, wood: "walnut", wanted: { "lab" => [ 70, 5, 15 ] }), "colour.unreachable").first
    assert_equal [ "stop", "colour" ], [ finding.level, finding.remedies.first.place["name"] ]
    assert_in_delta 70 - finding.figures[:lightest], finding.figures[:over], 0.06
    assert_empty findings(planned(*laid, wood: "walnut", wanted: { "lab" => [ 30, 8, 12 ] }), "colour.unreachable")
    assert_empty findings(planned(*laid, wood: "walnut"), "colour.unreachable"), "nothing is wanted"
  end

  # --- colour.metamer: the look itself, read by day, as the target: its smoothest spectrum is another one, so lamps
  # may tell
  def test_a_match_by_day_that_fails_by_lamp_is_told_for_the_light_of_the_place_only
    brown = [ sand, stain("narrow"), coat("s3") ]
    made = ->(wanted) { planned(*brown, wood: "elm", wanted: wanted) }
    target = Rhexon::Checks::Course.new(Rhexon::Checks::Context.new(made.call({}), "top")).look.look.lab
    cautions = Rhexon::Colour::Light.all.map(&:id).to_h do |light|
      [ light, findings(made.call("lab" => target, "light" => light), "colour.metamer").first ]
    end
    assert_nil cautions["D65"]
    told = cautions.values.compact
    assert_predicate told, :any?, "two narrow bands against a smooth brown"
    told.each { |finding| assert_operator finding.figures[:place], :>, 3.0 }
    assert_empty findings(made.call("lab" => [ 20, 0, 0 ], "light" => cautions.key(told.first)), "colour.metamer"),
                 "no match by day, no metamer"
  end

  # --- colour.stain_not_dry
  def test_a_coat_pinned_onto_a_wet_stain_stops_once
    plan = planned(sand, stain("umber"), coat("s3", pins: [ { "coat" => 1, "start" => "2026-11-23T09:00+01:00" } ]))
    assert_equal [ [ "stop" ], [] ], [ levels(plan, "colour.stain_not_dry"), levels(plan, "bond.too_soon") ]
    2.times { |index| assert_empty findings(remedied(plan, "colour.stain_not_dry", index), "colour.stain_not_dry") }
    assert_empty findings(planned(sand, stain("umber"), coat("s3")), "colour.stain_not_dry")
  end
end
