require "test_helper"

# Each check in the case it is for, in its ordinary silent case, and its remedy applied and planned again.
class ChecksTest < CoreTest
  def document_of(plan) = plan.piece("top").schedule

  # @return [Rhexon::Planning::Plan] with the n-th remedy of the first finding applied
  def remedied(plan, id, index = 0)
    remedy = findings(plan, id).first.remedies.fetch(index)
    plan.with_schedule("top", Rhexon::Schedule::Edit.apply(document_of(plan), remedy.operation))
  end

  def levels(plan, id) = findings(plan, id).map(&:level)

  # --- bond.window_over
  def missed = plan(piece(document(coat("s1", coats: 2))), now: "2026-11-23T15:30+01:00")

  def test_a_missed_window_that_the_plan_scuffs_is_a_note_and_can_be_caught
    assert_equal [ "note" ], levels(missed, "bond.window_over")
    after = remedied(missed, "bond.window_over")
    assert_equal 0, report(after)["goal"]["scuffs"]
    assert_empty findings(after, "bond.window_over")
  end

  def test_a_pin_past_the_window_is_a_stop
    late = plan(piece(document(coat("s1", coats: 2, pins: [ { "coat" => 2, "start" => "2026-11-25T10:00+01:00" } ]))))
    assert_equal [ "stop" ], levels(late, "bond.window_over")
    refute_includes levels(remedied(late, "bond.window_over"), "bond.window_over"), "stop"
  end

  def test_the_house_rule_stop_and_ask
    asked = plan(piece(document(coat("s1", coats: 2))), now: "2026-11-23T15:30+01:00",
                                                        house: { "missed_window" => "stop" })
    assert_equal [ "stop" ], levels(asked, "bond.window_over")
    assert_equal [ "note" ], levels(remedied(asked, "bond.window_over"), "bond.window_over")
  end

  def test_coats_inside_their_windows_and_lacquer_raise_nothing
    assert_empty findings(plan(piece(document(coat("s1", coats: 3)))), "bond.window_over")
    assert_empty findings(
      plan(
        piece(
          document(coat("s1", product: "lacquer"), step("s2", "wait", minutes: 9000), coat("s3", product: "lacquer"))
        )
      ),
      "bond.window_over"
    )
  end

  # --- bond.too_soon
  def test_a_pin_before_the_milestone_is_a_stop_and_moves
    early = plan(piece(document(coat("s1", coats: 2, pins: [ { "coat" => 2, "start" => "2026-11-23T08:20+01:00" } ]))))
    finding = findings(early, "bond.too_soon").first
    assert_equal "stop", finding.level
    assert_match(/43 min before recoat opens/, finding.sentence, "pinned 08:20, work from 08:30, opens 09:13")
    2.times { |index| assert_empty findings(remedied(early, "bond.too_soon", index), "bond.too_soon") }
  end

  # Grain was misted at 8:00 for 3 min and takes 30 min to dry: sanded at 8:32 it is 1 min early, at 8:20 it is damp.
  def test_a_minute_before_an_estimate_is_in_time
    sanded = ->(at) {
      log = [ [ "s1", "08:00" ], [ "s1", "08:03" ], [ "s2", at ] ].each_with_index.map do |(id, time), index|
        { "kind" => index == 1 ? "done" : "started", "pass" => "top/#{id}/1/show", "at" => "2026-11-23T#{time}+01:00" }
      end
      findings(plan(piece(document(step("s1", "raise_grain"), step("s2", "sand", grits: [ "P220" ]))), log: log,
                    now: "2026-11-23T09:00+01:00"), "bond.too_soon")
    }
    assert_empty sanded.("08:32")
    assert_match(/still damp/, sanded.("08:20").first.sentence)
  end

  def test_a_coat_logged_too_soon_is_a_stop_without_a_remedy
    log = [ [ "1", "07:43" ], [ "2", "08:30" ] ].map do |coat, clock|
      { "kind" => "done", "pass" => "top/s1/#{coat}/show", "at" => "2026-11-23T#{clock}+01:00" }
    end
    finding = findings(plan(piece(document(coat("s1", coats: 2))), log: log, now: "2026-11-23T08:31+01:00"),
                       "bond.too_soon").first
    assert_equal [ "stop", [] ], [ finding.level, finding.remedies ]
  end

  def test_a_pin_inside_the_window_raises_nothing
    fine = plan(piece(document(coat("s1", coats: 2, pins: [ { "coat" => 2, "start" => "2026-11-23T10:00+01:00" } ]))))
    assert_empty findings(fine, "bond.too_soon")
  end

  # --- bond.waxy_shellac
  def over_shellac(lower, upper, **fields)
    plan(
      piece(
        document(coat("s1", product: lower, method: "brush", wet_um: 70, role: "seal"),
                 coat("s2", product: upper, **fields))
      )
    )
  end

  def test_waterborne_over_waxy_shellac_stops_and_both_remedies_hold
    bad = over_shellac("waxy", "w20")
    assert_equal [ "stop" ], levels(bad, "bond.waxy_shellac")
    2.times { |index| assert_empty findings(remedied(bad, "bond.waxy_shellac", index), "bond.waxy_shellac") }
  end

  def test_lacquer_and_varnish_over_waxy_shellac_are_cautions
    assert_equal [ "caution" ], levels(over_shellac("waxy", "lacquer"), "bond.waxy_shellac")
    assert_equal [ "caution" ],
                 levels(over_shellac("waxy", "varnish", method: "brush", wet_um: 85), "bond.waxy_shellac")
    assert_equal [ "stop" ], levels(over_shellac("waxy", "catalysed"), "bond.waxy_shellac")
  end

  def test_dewaxed_shellac_and_shellac_on_itself_raise_nothing
    assert_empty findings(over_shellac("seal", "w20"), "bond.waxy_shellac")
    assert_empty findings(over_shellac("waxy", "waxy", method: "brush", wet_um: 70), "bond.waxy_shellac")
  end

  # --- film.sand_through: 80 · 0.18 · 0.55 = 7.9 µm of shellac over dye, sharp arris 4.0; a scuff takes 2.6 off it
  def dyed(*steps, **fields)
    plan(
      piece(
        document(step("d1", "stain", product: "russet", method: "wipe"),
                 coat("d2", product: "seal", wet_um: 80, role: "seal"), *steps),
        **fields
      )
    )
  end

  # Flattening takes 6.5 ± 1.6 off the edges, 3.96 ± 0.4 lies there: z = 2.54 / 1.67 = 1.52, 94 of 100.
  def test_sanding_a_thin_sealer_over_dye_stops
    bad = dyed(step("s3", "level", grits: [ "P320" ], aim: "between"), coat("s4"))
    finding = findings(bad, "film.sand_through").first
    assert_equal "stop", finding.level
    assert_in_delta 0.935, finding.figures[:chance], 0.005
    labels = finding.remedies.map(&:label)
    assert_includes labels, "Leave this step out"
    labels.each_index do |index|
      assert_empty(
        findings(remedied(bad, "film.sand_through", index), "film.sand_through").reject { |left| left.level == "note" },
        labels[index]
      )
    end
  end

  # What is done every day: a denib of one sealer coat over dye, a scuff over a sanded filler, the sheet's own 240 to
  # 320 after coat 1.
  def test_everyday_sanding_over_colour_is_at_most_a_note
    vinyl = { "id" => "vinyl", "class" => "vinyl_sealer" }
    filler = { "id" => "fill", "class" => "paste_filler_oil", "colour" => "tinted" }
    made = ->(*steps) {
      findings(plan(piece(document(*steps)), products: PRODUCTS + [ vinyl, filler ]),
               "film.sand_through")
    }
    dye, sealer = step("d1", "stain", product: "russet",
                                      method: "wipe"), coat("d2", product: "vinyl", wet_um: 90, role: "seal")
    assert_empty made.(dye, sealer, step("s3", "level", grits: [ "P320" ], aim: "denib"), coat("s4"))
    assert_equal [ "note" ], made.(dye, sealer, step("s3", "sand", grits: %w[P240 P320]), coat("s4")).map(&:level)
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

  # --- film.too_thin: 55 + 90 % of 34 µm = 49.3 µm, a table top wants 65
  def test_a_table_top_under_its_least_film
    bad = plan(piece(document(coat("s1", coats: 2)), use: "table_top"))
    finding = findings(bad, "film.too_thin").first
    assert_equal "caution", finding.level
    assert_in_delta 49.3, finding.figures[:film_um], 0.05
    refute_includes levels(remedied(bad, "film.too_thin", finding.remedies.size - 1), "film.too_thin"), "caution"
  end

  def test_close_to_the_least_is_a_note_with_its_chance
    close = plan(piece(document(coat("s1", coats: 2, wet_um: 105)), use: "furniture"))
    assert_equal [ "note" ], levels(close, "film.too_thin")
    assert_match(/1 piece in/, findings(close, "film.too_thin").first.sentence)
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

  # --- climate.cold
  def two_rooms(t_c)
    [
      { "id" => "bay", "climate" => [ { "t_c" => t_c, "rh" => 50 } ] },
      { "id" => "loft", "climate" => [ { "t_c" => 19, "rh" => 50 } ] }
    ]
  end

  def test_too_cold_to_lay_and_a_warmer_room_answers_it
    cold = plan(piece(document(coat("s1"), room: "bay")), rooms: two_rooms(8))
    assert_equal [ "stop" ], levels(cold, "climate.cold")
    assert_empty findings(remedied(cold, "climate.cold"), "climate.cold")
    assert_equal [ "caution" ], levels(plan(piece(document(coat("s1", product: "catalysed"))), t_c: 16), "climate.cold")
    assert_equal [ "stop" ], levels(plan(piece(document(coat("s1", product: "catalysed"))), t_c: 14.5), "climate.cold")
  end

  def test_at_the_limit_and_for_shellac_in_the_cold_nothing_is_raised
    assert_empty findings(plan(piece(document(coat("s1"))), t_c: 10), "climate.cold")
    assert_empty findings(plan(piece(document(coat("s1", product: "seal", method: "brush", wet_um: 70))), t_c: 6),
                          "climate.cold")
  end

  # --- climate.blush: sprayed lacquer cools by 6 °C; at 20 °C the dew point is 14.36 at 70 %, 15.44 at 75 %, 16.44 at
  # 80 %
  def lacquered(rh, **fields) = plan(piece(document(coat("s1", product: "lacquer", **fields))), t_c: 20, rh: rh)

  def test_blush_below_the_dew_point
    assert_equal [ "caution" ], levels(lacquered(75), "climate.blush")
    assert_equal [ "stop" ], levels(lacquered(80), "climate.blush")
    assert_in_delta 16.44, findings(lacquered(80), "climate.blush").first.figures[:dew_point_c], 0.02
    assert_empty findings(remedied(lacquered(80), "climate.blush"), "climate.blush"), "retarder halves the cooling"
  end

  def test_lacquer_in_dry_air_and_waterborne_in_damp_air_do_not_blush
    assert_empty findings(lacquered(60), "climate.blush")
    assert_empty findings(plan(piece(document(coat("s1"))), rh: 80), "climate.blush")
  end

  # --- time.due
  def test_late_pieces_get_only_remedies_that_make_them_earlier
    late = plan(piece(document(coat("s1", coats: 4)), use: "furniture", due: "2026-11-23T15:00+01:00"))
    finding = findings(late, "time.due").first
    assert_equal "caution", finding.level
    assert_operator finding.figures[:late_min], :>, 0
    finding.remedies.each do |remedy|
      assert_operator late.with_schedule("top",
                                         Rhexon::Schedule::Edit.apply(
                                           document_of(late), remedy.operation
                                         )).build.ready["top"],
                      :<, late.build.ready["top"]
    end
    assert_includes finding.remedies.map(&:label).join, "One coat less"
  end

  def test_in_time_or_without_a_date_nothing_is_raised
    assert_empty findings(plan(piece(document(coat("s1")), due: "2026-12-01T12:00+01:00")), "time.due")
    assert_empty findings(plan(piece(document(coat("s1")))), "time.due")
  end

  # --- the catalogue
  def test_every_file_is_a_rule_and_stops_come_first
    assert_equal 42, Rhexon::Checks::Catalogue.rules.size
    bad = Rhexon::Search::Planner.plan(
      Rhexon::Planning::Shop.new(JSON.parse(File.read(File.expand_path("../../examples/troubles.json", __dir__))))
    )
    levels = Rhexon::Checks::Catalogue.findings(bad, "trial_top").map(&:level)
    assert_equal levels.sort_by { |level| %w[stop caution note].index(level) }, levels
  end

  def test_the_good_examples_raise_nothing_above_a_note
    %w[desk-top two-pieces].each do |name|
      good = Rhexon::Search::Planner.plan(
        Rhexon::Planning::Shop.new(JSON.parse(File.read(File.expand_path("../../examples/#{name}.json", __dir__))))
      )
      good.shop.pieces.each do |piece|
        assert_empty Rhexon::Checks::Catalogue.findings(good, piece.id).map(&:level) - [ "note" ],
                     "#{name}: #{piece.id}"
      end
    end
  end
end
