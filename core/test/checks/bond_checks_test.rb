require "test_helper"

# Windows between coats, and what holds on what: in the case a check is for, in its ordinary silent case, and its
# remedy applied and planned again.
class BondChecksTest < CoreTest
  # --- bond.window_over
  QUICK = { "id" => "quick", "name" => "Quick clear", "class" => "waterborne_two_part",
            "milestones_min" => { "recoat_opens" => 60, "recoat_closes" => 120 } }.freeze
  # Nobody is there from noon to three.
  PAUSE = ShopHelper::WEEK.transform_values { [ %w[07:30 12:00], %w[15:00 20:00] ] }.freeze

  def missed(now = "2026-11-23T11:10+01:00")
    plan(piece(document(coat("s1", product: "quick", coats: 2))), now: now, week: PAUSE,
                                                                  products: PRODUCTS + [ QUICK ])
  end

  def test_a_missed_window_that_the_plan_scuffs_is_a_note_and_can_be_caught
    assert_equal [ "note" ], levels(missed, "bond.window_over")
    after = remedied(missed, "bond.window_over")
    assert_equal 0, report(after)["goal"]["scuffs"]
    assert_empty findings(after, "bond.window_over")
  end

  def test_a_coat_is_not_held_until_tomorrow_to_save_a_scuff
    told = findings(missed("2026-11-23T19:20+01:00"), "bond.window_over")
    assert_equal [ [] ], told.map(&:remedies)
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
    assert_match(/45 min before recoat opens/, finding.sentence, "pinned 08:20, work from 08:30, opens 09:15")
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

  # --- bond.gloss_unsanded
  def over(found, *steps)
    face = { "id" => "show", "area_m2" => 1.0, "wood" => "closed", "found" => found }
    plan(piece(document(*steps)).merge("faces" => [ face ]))
  end

  OLD = { "is" => "unknown", "coats" => 3, "state" => "sound" }.freeze

  def test_an_old_film_that_nothing_has_sanded_gives_no_key
    bad = over(OLD, coat("s1"))
    assert_equal "stop", findings(bad, "bond.gloss_unsanded").first.level
    assert_empty findings(remedied(bad, "bond.gloss_unsanded"), "bond.gloss_unsanded")
    cleaned = over(OLD, step("s0", "clean", way: "degrease"), coat("s1"))
    refute_empty findings(cleaned, "bond.gloss_unsanded"), "wiping is no sanding"
  end

  def test_what_is_sanded_stripped_bare_or_melts_in_holds
    scuff = step("s0", "level", aim: "scuff", grits: [ "P320" ])
    shellac = { "is" => "coated", "product" => "seal", "coats" => 2, "state" => "sound" }
    [
      over(OLD, scuff, coat("s1")), over(OLD, step("s0", "strip", way: "scraping"), coat("s1")),
      over(nil, coat("s1")), over({ "is" => "stripped" }, coat("s1")),
      over(shellac, coat("s1", product: "seal", method: "brush", wet_um: 70))
    ].each { |sound| assert_empty findings(sound, "bond.gloss_unsanded") }
    refute_empty findings(over(shellac, coat("s1")), "bond.gloss_unsanded")
  end

  # Nothing in between helps oil over a varnish: what lies there is the finish.
  def test_oil_over_a_film_is_left_out
    oil = { "id" => "boiled", "name" => "Boiled oil", "class" => "siccative_oil" }
    bad = plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85),
                              step("s2", "oil", product: "boiled", method: "wipe", coats: 2))),
               products: PRODUCTS + [ oil ])
    told = findings(bad, "bond.pair").first
    assert_equal [ "stop", [ "Leave this step out" ] ], [ told.level, told.remedies.map(&:label) ]
    assert_empty findings(remedied(bad, "bond.pair"), "bond.pair")
  end

  # --- bond.oily_wood
  def on(wood, *steps) = plan(piece(document(*steps)).merge("wood" => wood))
  def brushed(id = "s1", **fields) = coat(id, product: "varnish", method: "brush", wet_um: 85, **fields)

  def test_varnish_straight_on_teak_may_never_dry
    bad = on("teak", step("s0", "sand", grits: [ "P120" ]), brushed)
    assert_equal [ "caution" ], levels(bad, "bond.oily_wood")
    2.times { |index| assert_empty findings(remedied(bad, "bond.oily_wood", index), "bond.oily_wood") }
  end

  # Epoxy and hardwax oil as well, which nothing is put under: wiped, they hold.
  def test_epoxy_and_hardwax_oil_on_teak_ask_for_the_wipe_alone
    epoxy = coat("s1", product: "clear_epoxy", method: "brush", wet_um: 150)
    waxed = coat("s1", product: "waxed", method: "wipe", wet_um: 30)
    [ [ epoxy, "holding" ], [ waxed, "hardening" ] ].each do |laid, from|
      bad = plan(piece(document(laid)).merge("wood" => "teak"), products: PRODUCTS + [ WAXED, EPOXY ])
      told = findings(bad, "bond.oily_wood").first
      assert_includes told.sentence, "from #{from}"
      assert_equal [ "Wipe with solvent just before it" ], told.remedies.map(&:label)
      assert_empty findings(remedied(bad, "bond.oily_wood"), "bond.oily_wood")
    end
  end

  # A wood without figures is known by its name, and a batch that was tried says otherwise.
  def test_woods_that_hold_oils_are_known_by_name
    levels_on = ->(wood, **facts) {
      levels(plan(piece(document(brushed)).merge("wood" => wood, "wood_facts" => facts.transform_keys(&:to_s))),
             "bond.oily_wood")
    }
    assert_equal %w[caution], levels_on.("African padauk")
    assert_empty levels_on.("padauk", oily: false) + levels_on.("sapele") + levels_on.("ivory")
    assert_equal %w[caution], levels_on.("sapele", oily: true)
  end

  # Oil has to get into the wood: over a film it stays on top.
  def test_oil_flooded_over_a_film_stops
    oil = { "id" => "boiled", "class" => "siccative_oil" }
    flooded = step("s9", "oil", product: "boiled", method: "wipe", coats: 2)
    over = ->(*below) { plan(piece(document(*below, flooded)), products: PRODUCTS + [ oil ]) }
    assert_equal %w[stop], levels(over.(brushed), "bond.pair")
    assert_equal %w[stop], levels(over.(coat("s1", coats: 2)), "bond.pair")
    assert_empty levels(over.(step("s1", "sand", grits: [ "P180" ])), "bond.pair")
    assert_empty levels(over.(step("s1", "stain", product: "russet", method: "wipe")), "bond.pair")
  end

  def test_wiped_or_sealed_teak_and_other_woods_raise_nothing
    shellac = coat("s0", product: "seal", method: "brush", wet_um: 70)
    [
      on("teak", step("s0", "clean", way: "solvent_wipe"), brushed), on("teak", shellac, brushed),
      on("teak", coat("s1")), on("oak", brushed), plan(piece(document(brushed)))
    ].each { |sound| assert_empty findings(sound, "bond.oily_wood") }
  end

  # --- bond.sealer_sandwich
  VINYL = { "id" => "vinyl", "name" => "Vinyl sealer", "class" => "vinyl_sealer" }.freeze

  def layered(*products)
    steps = products.each_with_index.map { |product, index| coat("s#{index}", product: product) }
    plan(piece(document(*steps)), products: PRODUCTS + [ VINYL ])
  end

  def test_vinyl_between_catalysed_coats_is_a_soft_layer
    bad = layered("catalysed", "vinyl", "catalysed")
    assert_equal [ "caution" ], levels(bad, "bond.sealer_sandwich")
    assert_empty findings(remedied(bad, "bond.sealer_sandwich"), "bond.sealer_sandwich")
  end

  def test_vinyl_between_lacquers_is_worth_a_note
    assert_equal [ "note" ], levels(layered("lacquer", "vinyl", "lacquer"), "bond.sealer_sandwich")
  end

  def test_vinyl_on_the_wood_between_unlike_coats_and_shellac_raise_nothing
    [
      %w[vinyl catalysed catalysed], %w[lacquer vinyl catalysed], %w[vinyl lacquer lacquer],
      %w[catalysed seal catalysed], %w[vinyl vinyl catalysed]
    ].each { |products| assert_empty findings(layered(*products), "bond.sealer_sandwich") }
  end

  # --- bond.pair, bond.lifting
  EPOXY = { "id" => "clear_epoxy", "name" => "Clear epoxy", "class" => "epoxy_clear" }.freeze
  WAXED = { "id" => "waxed", "name" => "Floor hardwax", "class" => "hardwax_oil" }.freeze
  TOLD = { "id" => "told", "class" => "oil_varnish", "waits_under_min" => { "lacquer" => 600 } }.freeze

  def stacked(*steps) = plan(piece(document(*steps)), products: PRODUCTS + [ WAXED, TOLD, EPOXY ])

  def raised(plan) = %w[bond.pair bond.lifting].select { |id| (levels(plan, id) - %w[note]).any? }

  def test_what_does_not_hold_is_a_stop_and_shellac_between_mends_it
    [
      [ "bond.pair", 1, [ coat("s1", product: "lacquer"), coat("s2", product: "catalysed") ] ],
      [ "bond.lifting", 2, [ brushed, coat("s2", product: "lacquer") ] ],
      [ "bond.lifting", 2, [ coat("s1"), coat("s2", product: "lacquer") ] ]
    ].each do |id, ways, steps|
      bad = stacked(*steps)
      assert_equal [ [ id ], %w[stop] ], [ raised(bad), levels(bad, id) ]
      ways.times { |index| assert_empty raised(remedied(bad, id, index)) }
    end
  end

  # Oil of hardwax laid today is 30 days old on 23 Dec.
  def test_nothing_but_itself_goes_over_young_hardwax_oil
    oiled = coat("s1", product: "waxed", method: "wipe", wet_um: 30)
    bad = stacked(oiled, coat("s2"))
    assert_equal %w[bond.pair], raised(bad)
    assert_equal [ "Wait 30 days" ], findings(bad, "bond.pair").first.remedies.map(&:label)
    assert_empty raised(remedied(bad, "bond.pair"))
    assert_empty raised(stacked(oiled, coat("s2", product: "waxed", method: "wipe", wet_um: 30)))
  end

  # 150 µm laid by 07:57 is dry to sand 960 min later, at 23:57: not within the window of epoxy, but next morning, on a
  # scuff, and washed before it.
  def test_epoxy_is_hard_and_scuffed_under_varnish_and_asks_to_be_washed
    epoxy = coat("s1", product: "clear_epoxy", method: "brush", wet_um: 150, role: "build")
    made = stacked(epoxy, brushed("s2"))
    sand = placement(made, "s1/1").work_end + 960
    varnish = placement(made, "s2/1")
    assert_equal [ [ "sand", sand ] ], varnish.waits.map { |wait| [ wait.name, wait.reached_at ] }
    assert_equal "scuffed", varnish.window.state
    assert_equal 1, made.build.scuffs_before(varnish.pass.key).size
    told = findings(made, "bond.pair").first
    assert_equal [ "note", "Wash it before it is scuffed" ], [ told.level, told.title ]
    assert_empty findings(remedied(made, "bond.pair"), "bond.pair")
    washed = [ step("s3", "clean", way: "wash"), step("s4", "level", aim: "scuff", grits: [ "P320" ]) ]
    assert_empty findings(stacked(epoxy, *washed, brushed("s2")), "bond.pair")
  end

  def test_an_old_finish_that_nobody_tested_is_lifted_and_a_tested_one_answers_for_itself
    scuff = step("s0", "level", aim: "scuff", grits: [ "P320" ])
    over_old = ->(found, product) { raised(over(OLD.merge(found), scuff, coat("s1", product: product))) }
    assert_equal %w[bond.lifting], over_old.({}, "lacquer")
    assert_equal %w[bond.pair], over_old.({ "family" => "lacquer" }, "catalysed")
    assert_empty over_old.({}, "w20") + over_old.({ "family" => "lacquer" }, "lacquer") +
      over_old.({ "family" => "cross_linked" }, "lacquer")
  end

  def test_ordinary_pairs_raise_nothing
    shellac = coat("s1", product: "seal", method: "brush", wet_um: 70)
    [
      [ shellac, coat("s2", product: "lacquer") ], [ shellac, coat("s2", product: "catalysed") ],
      [ shellac, brushed("s2") ], [ coat("s1", product: "lacquer"), brushed("s2") ],
      [ coat("s1"), coat("s2", product: "w80") ],
      [ coat("s1", product: "told", method: "brush", wet_um: 85), coat("s2", product: "lacquer") ],
      [ brushed, step("s2", "wait", milestone: "full_cure"), coat("s3", product: "lacquer") ]
    ].each { |steps| assert_empty raised(stacked(*steps)), steps.map { |one| one["product"] }.join(" under ") }
  end
end
