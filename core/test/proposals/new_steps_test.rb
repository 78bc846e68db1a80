require "test_helper"

class NewStepsTest < CoreTest
  MORE = [
    { "id" => "filler", "name" => "Paste filler", "class" => "paste_filler_oil", "role" => "pore filler" },
    { "id" => "oil", "name" => "Rubbing oil", "class" => "siccative_oil", "role" => "oil" },
    { "id" => "glaze", "name" => "Glaze medium", "class" => "waterborne_glaze", "role" => "glaze" },
    { "id" => "wax", "name" => "Pale wax", "class" => "wax" },
    { "id" => "sealer", "name" => "Vinyl sealer", "class" => "vinyl_sealer", "role" => "sealer" },
    { "id" => "pigment", "name" => "Pigment stain", "class" => "pigment_oil_stain",
"optics" => { "kind" => "pigment" } }
  ].freeze

  def offers(*steps, after: steps.last&.fetch("id"), products: PRODUCTS + MORE, **fields)
    made = plan(piece(document(*steps), **fields), products: products)
    proposals = Rhexon::Proposals::NewSteps.new(Rhexon::Proposals::Place.new(made, "top", after))
    proposals.all.to_h { |offer| [ offer.id, offer ] }
  end

  def likely(*steps, **fields) = offers(*steps, **fields).values.select(&:likely).map(&:id)
  def sand(id, *grits) = step(id, "sand", grits: grits)

  # As a recipe of the desk is laid: the look that it was reckoned for is the look that is planned.
  def test_a_glaze_is_wiped_back_and_a_toner_is_a_mist
    fresh = offers(coat("s1", role: "seal")).transform_values(&:step)
    assert_equal [ 8, true ], fresh["glaze"].values_at("wet_um", "wipe_off")
    assert_equal [ 24, nil ], fresh["tone"].values_at("wet_um", "wipe_off")
  end

  # Whatever is offered can be added, planned, drawn and checked.
  def test_every_offer_after_every_state_is_a_sound_step
    courses = [
      [], [ sand("s1", "P180") ], [ step("s1", "stain", product: "russet", method: "wipe") ],
      [ step("s1", "fill", product: "filler", method: "wipe"), sand("s2", "P220") ], [ coat("s1", role: "seal") ],
      [ coat("s1", coats: 4) ], [ coat("s1", coats: 4), step("s2", "rub_out", grits: [ "P1000" ]) ],
      [ step("s1", "strip", way: "stripper") ], [ step("s1", "oil", product: "oil", method: "wipe") ]
    ]
    courses.product(%w[open closed]).each do |steps, wood|
      offers(*steps, wood: wood).each_value do |offer|
        refute_nil offer.step, offer.id
        place = steps.last&.fetch("id")
        after = Rhexon::Schedule::Edit.apply(
          Rhexon::Schedule::Document.check!(document(*steps)), { "op" => "add_step", "after" => place,
"step" => offer.step }
        )
        planned = plan(piece(after, wood: wood), products: PRODUCTS + MORE)
        assert_empty planned.build.blocked, offer.id
        Rhexon::Picture::Sheet.new(planned, "top").findings
      end
    end
  end

  def test_the_likely_next_ones_go_by_what_is_there
    assert_includes likely, "measure"
    assert_includes likely(wood: "open"), "sand"
    assert_equal %w[raise_grain clean stain seal coat oil], likely(sand("s1", "P220"))
    assert_includes likely(sand("s1", "P220"), wood: "open"), "fill"
    assert_equal %w[sand], likely(sand("s1", "P220"), step("s2", "raise_grain"))
    assert_equal %w[clean], likely(step("s1", "strip", way: "stripper")) & %w[clean seal coat]
    assert_includes likely(step("s1", "fill", product: "filler", method: "wipe"), sand("s2", "P220"), wood: "open"),
                    "seal"
    assert_equal %w[rub_out wax cure], likely(coat("s1", coats: 4)) & %w[rub_out wax cure raise_grain oil]
    assert_equal %w[polish wax cure], likely(coat("s1", coats: 4), step("s2", "rub_out", grits: [ "P1000" ]))
    found = piece(document)
    found["faces"][0]["found"] = { "is" => "unknown", "coats" => 2 }
    made = plan(found, products: PRODUCTS + MORE)
    assert_equal %w[start found], Rhexon::Proposals::Place.new(made, "top", nil).states
  end

  # P120 as it was planed, 125 µm, to P220 (68): under dye each at least 0.625 of the one before, 125, 82, 68.
  def test_papers_go_from_the_scratch_to_what_follows
    dye = step("s2", "stain", product: "russet", method: "wipe")
    assert_equal %w[P120 P180 P220], offers(dye, after: nil)["sand"].step["grits"]
    assert_equal "P180", offers(dye.merge("product" => "pigment"), after: nil)["sand"].step["grits"].last
    assert_equal "P320",
                 offers(step("s2", "oil", product: "oil", method: "wipe"), after: nil)["sand"].step["grits"].last
    assert_equal %w[P220], offers(sand("s1", "P180"), after: "s1")["sand"].step["grits"]
  end

  # 28 GU satin, nothing wanted: P1500 (30); a gloss of 40 wanted: P2000.
  def test_a_rub_out_is_built_to_the_sheen_that_is_wanted
    rubbed = ->(gu) {
      offers(coat("s1", product: "lacquer", coats: 6), wanted: gu ? { "gu" => gu } : {})["rub_out"].step["grits"]
    }
    assert_equal %w[P1000 P1500], rubbed.(nil)
    assert_equal %w[P1000 P2000], rubbed.([ 38, 46 ])
  end

  # 72 % after one filling: one more closes them.
  def test_a_look_after_a_filling_sends_it_round_until_the_pores_are_closed
    steps = [ step("s1", "fill", product: "filler", method: "wipe"), sand("s2", "P220") ]
    look = offers(*steps, wood: "open")["look"].step
    assert_equal({ "steps" => %w[s1 s2], "rounds" => 1, "most" => 4 }, look["again"])
    assert_equal [ 2, 1, 0 ], [ 0, 0.7225, 0.923 ].map { |filled| Rhexon::Proposals::Rounds.fillings(filled) }
    assert_equal "Is this the colour?",
                 offers(step("s1", "stain", product: "russet", method: "wipe"))["look"].step["asks"]
  end

  def test_products_are_those_of_the_purpose_or_those_used_before
    assert_equal "sealer", offers(sand("s1", "P220"))["seal"].step["product"]
    assert_equal "varnish", offers(coat("s1", product: "varnish", method: "brush"))["coat"].step["product"]
    assert_operator offers["washcoat"].step["wet_um"], :<=, 40
    none = offers(products: [ { "id" => "w20", "class" => "waterborne_two_part" } ])
    assert_equal [ nil, "a dye or a pigment stain" ], none["stain"].to_h.values_at(:step, :wants)
  end

  def test_a_board_is_offered_every_kind_of_work
    place = Rhexon::Proposals::BoardPlace.new("oak", PRODUCTS.to_h { |record|
      [ record["id"], Rhexon::Materials::Product.read(record) ]
    })
    offers = Rhexon::Proposals::NewSteps.new(place).all
    made = offers.filter_map { |offer| offer.step && offer.step["kind"] }
    assert_equal Rhexon::Schedule::Kinds.all - made, %w[glaze oil wax], "the shelf has none of them"
    steps = offers.filter_map(&:step).each_with_index.map { |step, index| step.merge("id" => "s#{index}") }
    Rhexon::Schedule::Fitting.check_fields!(Rhexon::Schedule::Document.check!(document(*steps)))
  end

  # --- by the shop's own loops

  def taken(rounds, wood: "elm", kind: "oil", product: "oil")
    Rhexon::Proposals::LoopHistory::Taken.new(kind: kind, product: product, wood: wood, rounds: rounds)
  end

  def look_after_oil(*taken, wood: "elm")
    made = plan(piece(document(step("s1", "oil", product: "oil", method: "wipe"))).merge("wood" => wood),
                products: PRODUCTS + MORE)
    history = Rhexon::Proposals::LoopHistory.new(taken)
    place = Rhexon::Proposals::Place.new(made, "top", "s1", history: history)
    Rhexon::Proposals::NewSteps.new(place).all.find { |offer| offer.id == "look" }
  end

  # 3, 4 and 5 rounds: 4 in the mean, 1 of deviation.
  def test_rounds_are_those_that_loops_of_this_shop_took
    assert_equal 1, look_after_oil.step["again"]["rounds"]
    offer = look_after_oil(taken(3), taken(4), taken(5), taken(9, wood: "oak"), taken(9, product: "other"))
    assert_equal [ 4, 6 ], offer.step["again"].values_at("rounds", "most")
    assert_equal "3 loops of it here took 4 rounds in the mean, give or take 1", offer.says
    other = look_after_oil(taken(8, wood: "oak"))
    assert_equal [ 8, 8 ], other.step["again"].values_at("rounds", "most")
    assert_equal "One loop of it here took 8 rounds, on any wood", other.says
  end

  def test_what_stands_up_is_raised_and_sanded_off_again
    steps = [ sand("s1", "P220"), step("s2", "raise_grain"), sand("s3", "P220") ]
    assert_equal({ "steps" => %w[s2 s3], "rounds" => 1, "most" => 4 }, offers(*steps)["look"].step["again"])
    assert_nil offers(sand("s1", "P220"))["look"].step["again"]
  end

  # Four wiped coats are usual: one is on, three more.
  def test_wiped_coats_go_on_until_they_look_even
    wiping = { "id" => "wiping", "name" => "Wiping varnish", "class" => "wiping_varnish" }
    wiped = coat("s1", product: "wiping", method: "wipe", wet_um: 12)
    again = offers(wiped, use: "furniture", products: PRODUCTS + MORE + [ wiping ])["look"].step["again"]
    assert_equal [ %w[s1], 3 ], again.values_at("steps", "rounds")
    assert_nil offers(coat("s1", coats: 2))["look"].step["again"], "sprayed coats are counted before"
    looped = step("s2", "look", again: { "steps" => %w[s1], "rounds" => 1, "most" => 2 })
    oil = step("s1", "oil", product: "oil", method: "wipe")
    assert_nil offers(oil, looped)["look"].step["again"], "one look sends it round"
  end
end
