require "test_helper"

# What the film comes to: in the case a check is for, in its ordinary silent case, and its remedy applied and planned
# again.
class FilmChecksTest < CoreTest
  # --- film.sand_through: 80 · 0.18 · 0.55 = 7.9 µm of shellac over dye, sharp arris 2.4; a scuff takes 2.6 off it
  def dyed(*steps, **fields)
    plan(
      piece(
        document(step("d1", "stain", product: "russet", method: "wipe"),
                 coat("d2", product: "seal", wet_um: 80, role: "seal"), *steps),
        arris: "sharp", **fields
      )
    )
  end

  # Flattening takes 6.5 ± 1.625 off the edges, 2.376 ± 0.356 lies there: z = 4.124 / 1.664 = 2.48: 0.993.
  def test_sanding_a_thin_sealer_over_dye_stops
    bad = dyed(step("s3", "level", grits: [ "P320" ], aim: "between"), coat("s4"))
    finding = findings(bad, "film.sand_through").first
    assert_equal "stop", finding.level
    assert_in_delta 0.993, finding.figures[:chance], 0.001
    assert_match(/: it will go through\.\z/, finding.sentence)
    labels = finding.remedies.map(&:label)
    assert_includes labels, "Leave this step out"
    labels.each_index do |index|
      assert_empty(
        findings(remedied(bad, "film.sand_through", index), "film.sand_through").reject { |left| left.level == "note" },
        labels[index]
      )
    end
  end

  # --- film.edges_sharp: 80 µm at 50 %, the first on the wood: 80 · 0.5 · 0.55 = 22; three tenths of
  # it stay on a sharp arris, three quarters at 2 mm
  def test_edges_too_sharp_for_their_use_are_told
    varnish = { "id" => "spar", "class" => "oil_varnish", "solids_volume_percent" => 50 }
    made = ->(use, arris) {
      said = { use: use, arris: arris }.compact
      plan(piece(document(coat("s1", product: "spar", method: "brush", wet_um: 80)), **said),
           products: PRODUCTS + [ varnish ])
    }
    finding = findings(made.("marine", "sharp"), "film.edges_sharp").first
    assert_equal [ "caution", { film_um: 22.0, arris_um: 6.6 } ], [ finding.level, finding.figures ]
    eased = findings(made.("marine", "eased_2mm"), "film.edges_sharp").first
    assert_equal [ "note", 16.5 ], [ eased.level, eased.figures[:arris_um] ]
    assert_equal %w[note], levels(made.("bar_top", "sharp"), "film.edges_sharp")
    silent = [ %w[marine eased_3mm], %w[bar_top eased_2mm], %w[table_top sharp], %w[furniture sharp],
               [ "marine", nil ] ]
    silent.each do |use, arris|
      assert_empty levels(made.(use, arris), "film.edges_sharp"), "#{use} #{arris}"
    end
    assert_empty levels(plan(piece(document(step("s1", "oil", product: "o", method: "wipe", coats: 2)), use: "marine"),
                             products: PRODUCTS + [ { "id" => "o", "class" => "siccative_oil" } ]), "film.edges_sharp")
  end

  # What is done every day: a denib of one sealer coat over dye, a scuff over a sanded filler, the sheet's own 240 to
  # 320 after coat 1.
  def test_everyday_sanding_over_colour_on_broken_edges_is_nothing_to_speak_of
    vinyl = { "id" => "vinyl", "class" => "vinyl_sealer" }
    filler = { "id" => "fill", "class" => "paste_filler_oil", "colour" => "tinted" }
    made = ->(*steps) {
      findings(plan(piece(document(*steps)), products: PRODUCTS + [ vinyl, filler ]),
               "film.sand_through")
    }
    dye, sealer = step("d1", "stain", product: "russet",
                                      method: "wipe"), coat("d2", product: "vinyl", wet_um: 90, role: "seal")
    assert_empty made.(dye, sealer, step("s3", "level", grits: [ "P320" ], aim: "denib"), coat("s4"))
    assert_empty made.(dye, sealer, step("s3", "sand", grits: %w[P240 P320]), coat("s4"))
    assert_empty made.(step("f1", "fill", product: "fill", method: "wipe"), step("f2", "sand", grits: [ "P220" ]),
                       coat("s3"), step("s4", "level", grits: [ "P320" ], aim: "scuff"), coat("s5"))
  end

  # 40 µm of white at 40 %: 8.8 µm, 4.4 at the arris; flattened it is gone through where clear goes over, and hidden
  # again by white.
  def test_going_through_a_white_sealer_under_clear_is_told
    white = { "id" => "white", "class" => "waterborne_primer", "colour" => "pigmented" }
    steps = [
      coat("s1", product: "white", wet_um: 40, role: "seal"), step("s2", "level", grits: [ "P320" ], aim: "between")
    ]
    made = ->(over) {
      findings(plan(piece(document(*steps, coat("s3", product: over))), products: PRODUCTS + [ white ]),
               "film.sand_through").map(&:level)
    }
    assert_equal [ "stop" ], made.("w20")
    assert_empty made.("white")
  end

  def test_enough_clear_over_the_dye_and_bare_wood_raise_nothing
    assert_empty findings(
      dyed(coat("s3", coats: 3), step("s4", "level", grits: [ "P320" ], aim: "between", removes_um: 2), coat("s5"),
           arris: "eased_3mm"),
      "film.sand_through"
    )
    assert_empty findings(
      plan(
        piece(
          document(coat("s1", product: "seal", wet_um: 80),
                   step("s2", "level", grits: [ "P320" ], aim: "between", removes_um: 2), coat("s3"))
        )
      ),
      "film.sand_through"
    )
  end

  # --- film.witness: a rub-out of 12 + 3 + 1.98 µm reaches 22.1; the last coat alone is 17 µm
  def test_rings_where_the_last_coat_missed_its_window
    bad = plan(
      piece(
        document(coat("s1", coats: 2), step("s2", "wait", minutes: 2000), coat("s3", wet_um: 50),
                 step("s4", "rub_out", grits: %w[P800 P1000]))
      )
    )
    finding = findings(bad, "film.witness").first
    assert_equal "caution", finding.level
    assert_in_delta 22.1, finding.figures[:reach_um], 0.05
    assert_in_delta 17.0, finding.figures[:top_layer_um], 0.05
    finding.remedies.each_index { |index| assert_empty findings(remedied(bad, "film.witness", index), "film.witness") }
  end

  def test_coats_that_fused_lacquer_and_sanding_between_coats_raise_no_rings
    rub = step("s4", "rub_out", grits: %w[P800 P1000])
    assert_empty findings(plan(piece(document(coat("s1", coats: 3), rub))), "film.witness")
    assert_empty findings(
      plan(
        piece(
          document(coat("s1", product: "lacquer"), step("s2", "wait", minutes: 9000),
                   coat("s3", product: "lacquer", wet_um: 60), rub)
        )
      ),
      "film.witness"
    )
    assert_empty findings(
      plan(
        piece(
          document(coat("s1"), step("s2", "wait", minutes: 2000), coat("s3", wet_um: 50),
                   step("s4", "level", grits: [ "P320" ], aim: "between", removes_um: 15), coat("s5"))
        )
      ),
      "film.witness"
    )
  end

  # --- film.too_thin: two coats of 34 % at 100 µm leave 49.3 µm; a bar top wants 75: 34 % short. One leaves 15.3: 80 %.
  def test_a_built_film_is_short_by_nothing_to_speak_of_by_a_little_or_by_a_lot
    short = ->(use, coats) { levels(plan(piece(document(coat("s1", coats: coats)), use: use)), "film.too_thin") }
    assert_equal [ [ "caution" ], [ "note" ], [] ], [ short.("bar_top", 1), short.("bar_top", 2), short.("bar_top", 3) ]
    assert_empty short.("floor", 2), "49.3 of 50"
    assert_empty short.("table_top", 2)
  end

  def test_each_remedy_of_a_thin_film_thickens_it_enough
    bad = plan(piece(document(coat("s1", coats: 2)), use: "bar_top"))
    finding = findings(bad, "film.too_thin").first
    assert_in_delta 49.3, finding.figures[:film_um], 0.05
    finding.remedies.each_index { |index|
      assert_empty findings(remedied(bad, "film.too_thin", index), "film.too_thin")
    }
  end

  # Six wiped coats, three of oil, and spirit varnish by rubber lie thin, and are meant to.
  def test_what_is_wiped_padded_or_rubbed_has_no_least_film
    wiping = { "id" => "wiping", "class" => "wiping_varnish" }
    thin = ->(laid, use) {
      findings(plan(piece(document(laid), use: use), products: PRODUCTS + [ wiping ]), "film.too_thin")
    }
    assert_empty thin.(coat("s1", product: "wiping", method: "wipe", wet_um: 35, coats: 6), "table_top")
    assert_empty thin.(coat("s1", product: "seal", method: "pad", wet_um: 12, coats: 8), "bar_top")
  end

  def test_thick_enough_oil_and_a_bare_schedule_raise_nothing_and_an_unstated_use_is_asked_for
    assert_empty findings(plan(piece(document(coat("s1", coats: 4)), use: "furniture")), "film.too_thin")
    assert_empty findings(plan(piece(document(step("s1", "sand", grits: [ "P180" ])), use: "floor")), "film.too_thin")
    assert_equal [ "note" ], levels(plan(piece(document(coat("s1")))), "film.too_thin")
  end

  # --- film.foggy
  def test_four_satin_coats_are_foggy_and_a_gloss_build_clears_it
    foggy = plan(piece(document(coat("s1", coats: 4))))
    assert_equal [ "note" ], levels(foggy, "film.foggy")
    after = remedied(foggy, "film.foggy")
    assert_empty findings(after, "film.foggy")
    assert_equal %w[w80 w20], document_of(after)["steps"].map { |step| step["product"] }
    assert_equal [ "caution" ],
                 levels(plan(piece(document(coat("s1", coats: 4))).merge("wood" => "walnut")), "film.foggy"),
                 "over dark wood it is a caution"
  end

  def test_three_satin_coats_or_a_gloss_build_are_clear
    assert_empty findings(plan(piece(document(coat("s1", coats: 3)))), "film.foggy")
    assert_empty findings(plan(piece(document(coat("s1", product: "w80", coats: 5), coat("s2")))), "film.foggy")
  end

  # --- film.too_thick: lacquer of 20 % at 110 µm, 22 a coat after the first two drank: six coats come to 120.
  def test_lacquer_over_its_limit_cracks_and_fewer_coats_do_not
    lacquer = ->(coats) { plan(piece(document(coat("s1", product: "lacquer", wet_um: 110, coats: coats)))) }
    bad = lacquer.call(7)
    finding = findings(bad, "film.too_thick").first
    assert_equal "caution", finding.level
    assert_in_delta 22 * (0.55 + 0.9 + 5), finding.figures[:film_um], 0.1
    assert_empty findings(remedied(bad, "film.too_thick"), "film.too_thick")
    assert_empty findings(lacquer.call(4), "film.too_thick")
    assert_empty findings(plan(piece(document(coat("s1", product: "varnish", method: "brush", coats: 8)))),
                          "film.too_thick"), "varnish bears any build"
  end

  # --- film.wrinkle
  def test_a_heavy_coat_of_varnish_wrinkles_and_more_thin_ones_do_not
    varnish = ->(wet) { plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: wet, coats: 2)))) }
    bad = varnish.call(180)
    assert_match(/at 180 µm wet it skins over/, findings(bad, "film.wrinkle").first.sentence)
    mended = remedied(bad, "film.wrinkle")
    assert_empty findings(mended, "film.wrinkle")
    assert_operator document_of(mended)["steps"].first["coats"], :>=, 3
    assert_empty findings(varnish.call(85), "film.wrinkle")
    assert_empty findings(plan(piece(document(coat("s1", wet_um: 180)))), "film.wrinkle"), "water leaves through it"
  end
end
