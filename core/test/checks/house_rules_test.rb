require "test_helper"
require_relative "../good/workshop"

# Where finishers disagree: what the shop's or the schedule's own way changes, and checks judged otherwise.
class HouseRulesTest < CoreTest
  include Workshop

  FOGGY = [ "coat one spray 6" ].freeze

  def job(*steps, house: nil, shop_house: nil, **fields)
    made({ "steps" => steps, "wood" => "maple", "use" => "show", "schedule" => house && { "house" => house },
           "shop" => shop_house && { "house" => shop_house } }.compact.merge(fields.transform_keys(&:to_s)))
  end

  def labels(plan, id) = findings(plan, id).flat_map(&:remedies).map(&:label)

  def test_satin_throughout_is_a_school
    assert_equal %w[note], levels(job(*FOGGY), "film.foggy")
    assert_empty levels(job(*FOGGY, house: { "build" => "satin" }), "film.foggy")
  end

  def test_the_show_side_only_is_a_school
    back = [ { "id" => "under", "kind" => "back", "area_m2" => 1.0, "wood" => "closed" } ]
    steps = [ 'coat varnish brush 4 faces=["show"]' ]
    assert_equal %w[caution], levels(job(*steps, more_faces: back), "film.balance")
    assert_empty levels(job(*steps, more_faces: back, house: { "sides" => "show" }), "film.balance")
    small = [ back.first.merge("area_m2" => 0.2) ]
    assert_empty levels(job(*steps, more_faces: small), "film.balance"), "narrow panels do not cup"
  end

  # Half the film keeps it flat: two of four coats on the back are enough, one is a note.
  def test_the_back_needs_half_the_film
    back = [ { "id" => "under", "kind" => "back", "area_m2" => 1.0, "wood" => "closed" } ]
    told = ->(coats) {
      levels(job("seal seal brush", "coat varnish brush #{coats} faces=[\"under\"]",
                 'coat varnish brush 4 faces=["show"]', more_faces: back), "film.balance")
    }
    assert_equal [ [], %w[note] ], [ told.(2), told.(1) ]
  end

  # Vinyl holds on lacquer and under catalysed; it is no barrier over varnish, where shellac is offered all the same.
  def test_the_barrier_of_the_house_where_it_holds_on_both
    over = ->(lower, upper, barrier) {
      labels(job(*lower, "coat #{upper} spray", house: { "barrier" => barrier }), "bond.pair")
    }
    assert_equal [ "Seal with Dewaxed shellac in between" ], over.([ "coat lacquer spray 3" ], "catalysed", "shellac")
    assert_equal [ "Seal with Vinyl sealer in between" ], over.([ "coat lacquer spray 3" ], "catalysed", "vinyl")
    oiled = [ "oil oil", "wait full_cure" ]
    assert_equal [ "Seal with Dewaxed shellac in between" ], over.(oiled, "one", "vinyl")
  end

  def test_a_gel_stain_does_not_blotch
    gel = { "id" => "gel", "name" => "Umber gel", "class" => "pigment_oil_stain", "role" => "gel stain",
            "colour" => "tinted" }
    shelf = products + [ gel ]
    steps = [ "sand P80 P100", "stain umber", "coat varnish brush 3" ]
    document = document(*steps.each_with_index.map { |line, index| step_of(line, "s#{index}") },
                        house: { "blotch" => "gel" })
    plan = plan(piece(document).merge("wood" => "pine"), products: shelf)
    assert_equal "Use Umber gel", labels(plan, "colour.blotch").first
    assert_empty levels(remedied(plan, "colour.blotch"), "colour.blotch")
  end

  # --- pairs that nobody knows
  def test_an_unknown_pair_is_a_note_until_a_board_of_it_was_tried
    steps = [ "coat one brush 2", "level P320", "coat polyurethane spray 2" ]
    unknown = job(*steps)
    assert_equal [ %w[note], [ "Make a board of it" ] ], [ levels(unknown, "bond.pair"), labels(unknown, "bond.pair") ]
    tried = { "name" => "cell A1", "wood" => "maple", "layers" => [
      { "kind" => "coat", "product" => "one" }, { "kind" => "coat", "product" => "polyurethane" }
    ] }
    assert_empty findings(job(*steps, boards: [ tried ]), "bond.pair")
    upside_down = tried.merge("layers" => tried["layers"].reverse)
    assert_equal %w[note], levels(job(*steps, boards: [ upside_down ]), "bond.pair")
  end

  # --- judged otherwise
  def judged(as, where = :house)
    job(*FOGGY, where => { "checks" => { "film.foggy" => { "as" => as, "reason" => "wanted soft" } } })
  end

  def test_a_check_is_raised_and_lowered_with_its_reason
    finding = findings(judged("stop"), "film.foggy").first
    assert_equal [ "stop", "note", "wanted soft", "schedule" ],
                 [ finding.level, finding.ruling.was, finding.ruling.reason, finding.ruling.by ]
    assert_equal "shop", findings(judged("caution", :shop_house), "film.foggy").first.ruling.by
  end

  def test_a_silent_check_is_kept_aside_with_its_reason
    plan = judged("silent")
    assert_empty findings(plan, "film.foggy")
    aside = Rhexon::Checks::Catalogue.silenced(plan, "top")
    assert_equal [ [ "film.foggy", "note", "wanted soft" ] ],
                 aside.map { |one| [ one.id, one.level, one.ruling.reason ] }
  end

  def test_the_schedule_has_the_last_word
    both = job(*FOGGY, shop_house: { "checks" => { "film.foggy" => { "as" => "silent", "reason" => "as a rule" } } },
                       house: { "checks" => { "film.foggy" => { "as" => "caution", "reason" => "not here" } } })
    assert_equal %w[caution], levels(both, "film.foggy")
  end

  def test_an_edit_judges_and_takes_it_back
    edit = ->(document, as, reason = "wanted soft") {
      Rhexon::Schedule::Edit.apply(
        document, { "op" => "judge", "check" => "film.foggy", "as" => as, "reason" => reason }
      )
    }
    kept = edit.(document(coat("s1")), "note")
    assert_equal({ "film.foggy" => { "as" => "note", "reason" => "wanted soft" } }, kept.dig("house", "checks"))
    assert_nil edit.(kept, nil).dig("house", "checks")
    assert_match(/Say why/, refusal { edit.(kept, "note", "") }.message)
    assert_match(/stop, caution, note or silent/, refusal { edit.(kept, "loud") }.message)
  end

  def test_safety_and_the_date_are_never_judged_otherwise
    %w[safety.lead time.due time.wipe_off time.level_window].each do |id|
      refute Rhexon::Checks::Judgement.open?(id)
      operation = { "op" => "judge", "check" => id, "as" => "silent", "reason" => "tired of it" }
      assert_match(/neither of safety nor of the date/, refusal {
        Rhexon::Schedule::Edit.apply(document(coat("s1")), operation)
      }.message)
    end
  end

  # --- air
  def test_hot_air_offers_retarder_to_lacquer_and_none_to_varnish
    hot = ->(product, **fields) { job("coat #{product} 3", shop: { "t_c" => 34, "rh" => 40 }, **fields) }
    lacquer = hot.("lacquer spray")
    assert_equal [ "Retarder in the mix" ], labels(lacquer, "climate.hot_dry")
    assert_empty levels(remedied(lacquer, "climate.hot_dry"), "climate.hot_dry")
    assert_empty labels(hot.("varnish brush"), "climate.hot_dry")
    assert_empty levels(hot.("wiping wipe"), "climate.hot_dry"), "wiped off before it could skin"
  end

  # Shellac under solvent two-part: 24 h by the pair's own wait, where shellac alone opens in 20 min.
  def test_the_wait_of_a_pair_is_named
    pin = 'coat polyurethane spray pins=[{"coat":1,"start":"2026-11-23T14:00+01:00"}]'
    early = job("seal seal spray", pin)
    assert_equal %w[stop], levels(early, "bond.pair_wait")
    assert_empty levels(remedied(early, "bond.pair_wait"), "bond.pair_wait")
  end

  def test_rubbed_too_soon_is_named
    pinned = 'pins=[{"coat":1,"start":"2026-11-25T09:00+01:00"}]'
    early = job("coat bright spray 5", "rub P1000 wet=true lubricant=soapy_water #{pinned}")
    assert_match(/the gloss sinks/, findings(early, "time.rub_too_soon").first.sentence)
  end

  def test_clear_film_outdoors_is_to_be_renewed
    finding = findings(job("coat varnish brush 8", use: "marine", arris: "eased_3mm"), "use.outdoor_clear").first
    assert_equal [ "note", 12 ], [ finding.level, finding.figures[:renew_months] ]
    assert_empty findings(job("prime primer brush 2", "coat paint brush 2", use: "marine"), "use.outdoor_clear")
  end

  # --- the air in which it cures
  NIGHT = [ { "id" => "bench", "daily" => [ { "at" => "07:00", "t_c" => 20, "rh" => 50 },
                                            { "at" => "18:00", "t_c" => 12, "rh" => 60 } ] } ].freeze
  LOFT = { "id" => "loft", "climate" => [ { "t_c" => 18, "rh" => 50, "air" => "ordinary" } ] }.freeze

  def test_acid_catalysed_in_a_cold_night_is_told_and_dries_elsewhere
    told = ->(product, *rooms) { job("coat #{product} spray 2", shop: { "rooms" => NIGHT + rooms }) }
    alone = told.("catalysed")
    assert_equal %w[caution], levels(alone, "climate.air")
    assert_empty labels(alone, "climate.air")
    with_loft = told.("catalysed", LOFT)
    assert_equal [ "Let it dry in the loft" ], labels(with_loft, "climate.air")
    assert_empty levels(remedied(with_loft, "climate.air"), "climate.air")
    assert_empty levels(told.("lacquer"), "climate.air"), "no other film minds a cold night"
  end

  def test_a_film_that_cures_by_damp_is_told_where_there_is_none
    damp = { "id" => "damp", "name" => "Damp-cured", "class" => "solvent_two_part", "moisture_cure" => true }
    shelf = products + [ damp ]
    told = ->(rh) { levels(plan(piece(document(coat("s1", product: "damp"))), products: shelf, rh: rh), "climate.air") }
    assert_equal [ %w[caution], [] ], [ told.(25), told.(40) ]
  end

  # --- dust
  # Coated 7:40 to 7:46, dust-safe some 12 min later: sanded at 7:50 it has nibs, at 8:30 not.
  def test_sanding_beside_a_wet_film_is_told_from_the_log
    beside = ->(clock) {
      log = [ [ "a/s1/1/show", "07:40", "07:46" ], [ "b/s1/1/show", clock, clock.succ ] ].flat_map do |pass, from, to|
        [ [ "started", from ], [ "done", to ] ].map do |kind, at|
          { "kind" => kind, "pass" => pass, "at" => "2026-11-23T#{at}+01:00" }
        end
      end
      sanded = piece(document(step("s1", "sand", grits: [ "P120" ])), id: "b")
      made = plan(piece(document(coat("s1", coats: 2)), id: "a"), sanded, log: log, now: "2026-11-23T09:00+01:00")
      findings(made, "dust.together", "a")
    }
    told = beside.("07:50").first
    assert_equal [ "caution", [ "Denib it" ] ], [ told.level, told.remedies.map(&:label) ]
    assert_empty beside.("08:30")
    assert_match(/ended at Mon 23 Nov 07:21, before its dust had settled/, beside.("07:20").first.sentence)
    assert_empty beside.("06:50"), "half an hour later it had"
  end
end
