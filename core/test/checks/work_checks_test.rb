require "test_helper"

# prep.*, pore.*, rub.* and what lies on a face: each with the ordinary case in which it is silent.
class WorkChecksTest < CoreTest
  MORE = [
    { "id" => "gloss", "name" => "Gloss lacquer", "class" => "nitro_lacquer", "sheen_gu" => 85 },
    { "id" => "satin", "name" => "Satin lacquer", "class" => "nitro_lacquer", "sheen_gu" => 28 },
    { "id" => "one", "name" => "Clear one part", "class" => "waterborne_one_part", "sheen_gu" => 80 },
    { "id" => "filler", "name" => "Paste filler", "class" => "paste_filler_oil", "role" => "pore filler" },
    { "id" => "wax", "name" => "Pale wax", "class" => "wax" }
  ].freeze

  def made(*steps, wanted: {}, faces: nil, wood: "closed", **fields)
    record = piece(document(*steps), wood: wood)
    record["faces"] = faces if faces
    plan(record.merge("wanted" => wanted, "use" => "show", **fields.transform_keys(&:to_s)), products: PRODUCTS + MORE)
  end

  def found(id, *steps, **fields) = findings(made(*steps, **fields), id)

  # Every remedy of a finding is a sound schedule in which it is gone.
  def assert_mends(id, *steps, **fields)
    finding = found(id, *steps, **fields).first
    refute_nil finding, id
    refute_empty finding.remedies, id
    finding.remedies.each do |remedy|
      after = Rhexon::Schedule::Edit.apply(Rhexon::Schedule::Document.check!(document(*steps)), remedy.operation)
      assert_empty found(id, *after["steps"], **fields).reject { |one| one.level == "note" }, remedy.label
    end
    finding
  end

  def sand(id, *grits, **fields) = step(id, "sand", grits: grits, **fields)
  def gloss(id, coats = 4, **fields) = coat(id, product: "gloss", wet_um: 100, coats: coats, **fields)
  def dye(id) = step(id, "stain", product: "russet", method: "wipe")

  # --- residue
  def test_nothing_holds_over_wax_oil_or_stripper
    wax = step("s2", "wax", product: "wax", method: "wipe")
    assert_equal "stop", assert_mends("bond.over_wax", gloss("s1"), wax, gloss("s3", 1)).level
    assert_empty found("bond.over_wax", gloss("s1"), wax, wax.merge("id" => "s3"))
    oiled = step("s2", "rub_out", grits: [ "P1200" ], lubricant: "oil")
    assert_mends("bond.over_oil_residue", gloss("s1"), oiled, gloss("s3", 1))
    assert_equal 1, found("bond.over_oil_residue", gloss("s1"), oiled, gloss("s3", 4)).size, "one cause, one finding"
    wiped = step("s3", "clean", way: "solvent_wipe")
    assert_empty found("bond.over_oil_residue", gloss("s1"), oiled, wiped, gloss("s4", 1))
    assert_mends("bond.over_stripper", step("s1", "strip", way: "stripper"), gloss("s2"))
  end

  # --- pores: 200 µm, one filling 72 %, two 92 %
  def test_open_pores_where_closed_ones_are_wanted
    fill = step("s1", "fill", product: "filler", method: "wipe")
    closed = { "pores" => "closed" }
    open = { wanted: { "pores" => "closed" }, wood: "open" }
    finding = assert_mends("pore.not_closed", fill, sand("s2", "P220"), coat("s3", wet_um: 50), **open)
    assert_match(/about 74 % full/, finding.sentence)
    assert_empty found("pore.not_closed", fill, sand("s2", "P220"), fill.merge("id" => "s4"), coat("s3"), **open)
    assert_empty found("pore.not_closed", fill, coat("s3"), wood: "open"), "nobody asked for closed pores"
    refute_empty found("pore.not_closed", coat("s3"), wanted: closed, wood: "open").first.remedies
    assert_empty found("pore.not_closed", coat("s1", coats: 3), wanted: closed), "closed wood is closed by its coats"
  end

  def test_filler_under_a_water_dye_or_left_on_the_face
    fill = step("s1", "fill", product: "filler", method: "wipe")
    assert_match(/Dye first/, assert_mends("pore.trapped", fill, sand("s2", "P220"), dye("s3"), coat("s4")).sentence)
    assert_match(/sanded back/, assert_mends("pore.trapped", fill, coat("s2")).sentence)
    assert_empty found("pore.trapped", dye("s0"), fill, sand("s2", "P220"), coat("s3"))
    slurry = step("s1", "fill", product: "varnish", method: "wipe", way: "slurry")
    assert_empty found("pore.trapped", slurry, coat("s2", product: "varnish", method: "brush", wet_um: 85))
  end

  # --- preparation
  def test_water_on_wood_that_was_not_wetted
    assert_mends("prep.grain_not_raised", sand("s1", "P180", "P220"), dye("s2"), coat("s3"))
    assert_mends("prep.grain_not_raised", sand("s1", "P180", "P220"), coat("s2", coats: 3))
    raised = [ step("s2", "raise_grain"), sand("s3", "P220") ]
    assert_empty found("prep.grain_not_raised", sand("s1", "P180"), *raised, dye("s4"))
    assert_empty found("prep.grain_not_raised", sand("s1", "P220"), coat("s2"),
                       step("s3", "level", grits: [ "P320" ], aim: "denib"), coat("s4")), "the other school"
    assert_empty found("prep.grain_not_raised", sand("s1", "P220"), gloss("s2"))
    assert_empty found("prep.grain_not_raised", sand("s1", "P220"), coat("s2", coats: 2), wood: "mdf_face")
  end

  # 125 to 68 µm is 0.54: enough under clear, a step too far under stain; 201 to 68 in any case.
  def test_a_step_too_far_between_papers
    assert_empty found("prep.grit_skip", sand("s1", "P80", "P120", "P180", "P220"), dye("s2"), coat("s3"))
    assert_empty found("prep.grit_skip", sand("s1", "P120", "P220"), gloss("s2"))
    assert_match(/From P120 \(125 µm\) to P220 \(68 µm\).* drink stain/,
                 assert_mends("prep.grit_skip", sand("s1", "P120", "P220"), dye("s2"), coat("s3")).sentence)
    assert_mends("prep.grit_skip", sand("s1", "P80"), sand("s2", "P220"), gloss("s3"))
  end

  def test_how_wood_is_sanded_under_a_colour
    umber = step("s2", "stain", product: "umber", method: "wipe")
    assert_mends("prep.orbital_under_stain", sand("s1", "P150", "P180", machine: true), dye("s2"), coat("s3"))
    assert_empty found("prep.orbital_under_stain", sand("s1", "P150", machine: true), gloss("s2"))
    assert_empty found("prep.ends_coarse", sand("s1", "P120"), gloss("s2")) +
      found("prep.ends_coarse", sand("s1", "P150"), dye("s2"), coat("s3")) +
      found("prep.ends_coarse", sand("s1", "P100"), gloss("s2"), use: "floor")
    assert_equal 1, found("prep.ends_coarse", sand("s1", "P120"), dye("s2"), coat("s3")).size, "under a colour"
    stripped = [ step("s0", "strip", way: "sanding", grits: [ "P40" ]), sand("s1", "P220"), gloss("s2") ]
    assert_match(/From P40/, found("prep.grit_skip", *stripped).first.sentence)
    coarse = [ sand("s1", "P80", machine: true), dye("s2"), coat("s3") ]
    assert_empty found("prep.orbital_under_stain", *coarse), "one cause: the paper is too coarse in any case"
    assert_match(/P150 is the coarsest/, found("prep.ends_coarse", *coarse).first.sentence)
    assert_empty found("prep.orbital_under_stain", sand("s1", "P100", machine: true), dye("s2"), coat("s3"),
                       use: "floor")
    assert_mends("prep.too_fine_for_stain", sand("s1", "P180", "P320"), umber, gloss("s3"))
    assert_empty found("prep.too_fine_for_stain", sand("s1", "P180", "P220"), umber, gloss("s3"))
  end

  def test_end_grain_is_sanded_finer_than_the_face
    faces = [ { "id" => "show", "area_m2" => 1.0 }, { "id" => "ends", "area_m2" => 0.1, "wood" => "end_grain" } ]
    assert_mends("prep.endgrain", sand("s1", "P150", "P180"), dye("s2"), coat("s3"), faces: faces)
    assert_empty found("prep.endgrain", sand("s1", "P150", "P180"), sand("s2", "P240", faces: [ "ends" ]), dye("s3"),
                       coat("s4"), faces: faces)
  end

  # --- rubbing out
  # Oiled wood that once was stripped has no film to be gone through.
  def test_wood_without_a_film_is_rubbed_as_it_is
    oil = { "id" => "oil", "name" => "Rubbing oil", "class" => "siccative_oil" }
    found = { "is" => "unknown", "coats" => 2 }
    steps = [ step("s1", "strip", way: "scraping"), step("s2", "oil", product: "oil", method: "wipe"),
              step("s3", "rub_out", grits: [ "P1000" ]) ]
    record = piece(document(*steps)).merge("use" => "show")
    record["faces"][0]["found"] = found
    assert_empty findings(plan(record, products: PRODUCTS + [ oil ]), "rub.film_short")
  end

  def test_a_rung_that_is_missing_and_one_that_goes_back
    assert_match(/P400 \(35 µm\) to P1200 \(15\.3 µm\)/,
                 assert_mends("rub.ladder", gloss("s1", 8), step("s2", "rub_out", grits: %w[P400 P1200])).sentence)
    assert_mends("rub.ladder", gloss("s1", 8), step("s2", "rub_out", grits: %w[P1200 P800]))
    assert_empty found("rub.ladder", gloss("s1", 8), step("s2", "rub_out", grits: %w[P400 P600 P1000 P2000]),
                       step("s3", "polish", grits: %w[compound-medium compound-fine finishing-glaze]))
    assert_empty found("rub.ladder", gloss("s1"), step("s2", "rub_out", grits: %w[P600 wool-0000]))
  end

  # CAMI 600 is 16 µm: a compound follows 13 by hand, 15.5 by wheel.
  def test_a_compound_follows_fine_paper
    polish = ->(**on) { step("s3", "polish", grits: %w[compound-medium compound-fine], **on) }
    rubbed = ->(last, **on) { [ gloss("s1", 8), step("s2", "rub_out", grits: [ "P800", last ]), polish.(**on) ] }
    told = assert_mends("rub.ladder", *rubbed.("cami-600"))
    assert_match(/600 grit \(16 µm\) leaves scratches .* under about 66 GU. Go on to P1500/, told.sentence)
    assert_equal 1, found("rub.ladder", *rubbed.("cami-600", polish_on: "wheel")).size
    assert_equal 1, found("rub.ladder", *rubbed.("P1200")).size
    assert_empty found("rub.ladder", *rubbed.("P1200", polish_on: "wheel")) + found("rub.ladder", *rubbed.("P1500"))
    levelled = [ gloss("s1", 8), step("s2", "level", grits: %w[P320 P600], aim: "between"), polish.() ]
    assert_match(/P600 \(25.8 µm\)/, found("rub.ladder", *levelled).first.sentence)
  end

  def test_what_a_film_may_not_be_rubbed_with
    rub = ->(with, *grits) { step("s2", "rub_out", grits: grits, lubricant: with) }
    one = coat("s1", product: "one", coats: 5)
    assert_mends("rub.lubricant", coat("s1", product: "seal", wet_um: 80, coats: 9), rub.("soapy_water", "P1000"))
    assert_mends("rub.lubricant", one, rub.("mineral_spirit", "P1000"))
    assert_empty found("rub.lubricant", one, rub.("soapy_water", "P1000"))
    assert_empty found("rub.lubricant", gloss("s1"), rub.("mineral_spirit", "P1000"))
    assert_mends("rub.wool_waterborne", one, step("s2", "rub_out", grits: %w[P1000 wool-0000]))
    assert_empty found("rub.wool_waterborne", gloss("s1"), step("s2", "rub_out", grits: [ "wool-0000" ]))
  end

  def test_what_is_the_same_of_several_steps_is_said_once_and_mended_at_once
    steps = [ coat("s1", product: "one", coats: 5), step("s2", "level", grits: [ "wool-0000" ], aim: "scuff"),
              coat("s3", product: "one"), step("s4", "rub_out", grits: %w[P1000 wool-0000]) ]
    shop = made(*steps)
    said = findings(shop, "rub.wool_waterborne")
    assert_equal [ [ "top/s2/1/show", [ "top/s4/1/show" ] ] ], said.map { |one| [ one.pass, one.also.map(&:pass) ] }
    rubbed = shop.of_piece("top").find { |one| one.pass.step["id"] == "s4" }
    told = Rhexon::Checks::Catalogue.against(shop, rubbed.pass).find { |one| one.id == said.first.id }
    assert_equal [ rubbed.pass.key, nil ], [ told.pass, told.also ], "told before each of them, of itself alone"
    mended = Rhexon::Schedule::Edit.apply(document(*steps), said.first.remedies.first.operation)
    assert_empty found("rub.wool_waterborne", *mended["steps"])
  end

  # Two coats of 100 µm at 20 %: 11 + 18 = 29, 14.5 on a sharp arris; a levelling of 15 takes 19.5 there.
  def test_a_rub_out_needs_its_film
    assert_equal "stop", assert_mends("rub.film_short", gloss("s1", 2), step("s2", "rub_out", grits: [ "P1000" ])).level
    assert_empty found("rub.film_short", gloss("s1", 5), step("s2", "rub_out", grits: [ "P1000" ]))
    assert_empty found("rub.film_short", gloss("s1", 2), step("s2", "level", grits: [ "P320" ], aim: "denib"))
  end

  def test_the_sheen_that_is_wanted
    rubbed = ->(*grits) { [ gloss("s1", 8), step("s2", "rub_out", grits: grits) ] }
    id = "rub.sheen_unreachable"
    assert_empty found(id, *rubbed.("P800", "P1500"), wanted: { "gu" => [ 25, 35 ] })
    matte = assert_mends(id, *rubbed.("P800"), wanted: { "gu" => [ 25, 35 ] })
    assert_match(/ends at about 13 GU \(matte\)/, matte.sentence)
    note = found(id, *rubbed.("P800", "P1500", "P3000"), wanted: { "gu" => [ 25, 35 ] }).first
    assert_equal [ "note", "Stop at P1500" ], [ note.level, note.remedies.first.label ]
    assert_match(/85 GU/, assert_mends(id, gloss("s1", 8), wanted: { "gu" => [ 25, 35 ] }).sentence)
    dull = found(id, coat("s1", product: "satin", coats: 6), wanted: { "gu" => [ 60, 70 ] }).first
    assert_match(/made with 28 GU and comes to 43 GU at most/, dull.sentence)
    assert_equal "Coat with Gloss lacquer", dull.remedies.first.label
    assert_empty found(id, coat("s1", product: "satin", coats: 3), wanted: { "gu" => [ 25, 35 ] })
    assert_empty found(id, *rubbed.("P400"))
  end

  # --- moisture: in a room of 20 °C and 50 % wood comes to 9.26 %
  def test_moisture_as_it_was_read
    measure = step("s1", "measure", way: "moisture", readings: 3)
    read = ->(*readings) {
      done = { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:31+01:00", "readings" => readings }
      made = plan(piece(document(measure, gloss("s2"))), log: [ done ], now: "2026-11-23T08:00+01:00",
                                                         products: PRODUCTS + MORE)
      %w[prep.moisture prep.uneven prep.unmeasured].flat_map { |id| findings(made, id) }
    }
    assert_empty read.(9.0, 9.4, 8.8)
    wet = read.(16.0, 15.4, 15.8).first
    assert_equal [ "prep.moisture", "stop" ], [ wet.id, wet.level ]
    assert_match(/3 readings, 15\.7 % in the mean, 0\.6 apart; in a room .* wood comes to 9\.3 %/, wet.sentence)
    assert_equal [ "prep.uneven", "prep.unmeasured" ], [ read.(8, 9, 12), read.(9, 9.1) ].map { |all| all.first.id }
    assert_empty found("prep.unmeasured", measure, gloss("s2"))
    assert_equal "note", assert_mends("prep.unmeasured", measure.merge("readings" => 1), gloss("s2")).level
  end

  # --- rub.nothing
  def test_a_rub_out_needs_a_film_to_bring_to_a_sheen
    rub = step("s9", "rub_out", grits: [ "P1000" ])
    oil = { "id" => "boiled", "class" => "siccative_oil" }
    lies = ->(*below) {
      made = plan(piece(document(*below, rub)), products: PRODUCTS + MORE + [ oil ])
      findings(made, "rub.nothing").map { |finding| [ finding.level, finding.figures[:lies] ] }
    }
    assert_equal [ [ "stop", "the wood is bare" ] ], lies.(sand("s1", "P180"))
    assert_equal [ [ "stop", "oil lies in the wood" ] ],
                 lies.(step("s1", "oil", product: "boiled", method: "wipe", coats: 3))
    assert_equal [ [ "stop", "wax lies on it" ] ], lies.(gloss("s1"), step("s2", "wax", product: "wax", method: "wipe"))
    assert_empty lies.(gloss("s1")) + lies.(coat("s1", product: "seal", method: "pad", wet_um: 12, coats: 6))
    assert_mends("rub.nothing", sand("s1", "P180"), rub, gloss("s2"))
  end
end
