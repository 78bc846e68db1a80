require "test_helper"

# Hand-worked cases of people, rooms, tools, faces and hard windows. Spraying: set-up 10, 60/25 = 2.4 so 3 min a
# square metre, clean-up 15; brushing 5, 60/7 so 9, 5.
class WorkshopRulesTest < CoreTest
  BENCH = { "climate" => [ { "t_c" => 20, "rh" => 50 } ] }.freeze
  ROOMS = [ { "id" => "bay", "uses" => [ "sand" ], **BENCH }, { "id" => "booth", "uses" => %w[spray], **BENCH } ].freeze
  FACES = [
    { "id" => "show", "area_m2" => 1.0 }, { "id" => "back", "kind" => "back", "area_m2" => 1.0 },
    { "id" => "edges", "kind" => "edges", "area_m2" => 0.1 }
  ].freeze

  def person(id, skills: nil, week: WEEK) = { "id" => id, "skills" => skills, "week" => week }

  def on(plan, tail) = plan.placements.find { |found| found.pass.key == "top/#{tail}" }

  def start(plan, tail) = Rhexon::Zone.new("Europe/Berlin").iso(placement(plan, tail).hands_start)[5, 11]

  def keys(plan) = plan.placements.map { |found| found.pass.key }

  def two_sided(steps, **fields) = { **piece(document(*steps, **fields)), "faces" => FACES }

  # --- people

  def test_spraying_is_done_by_who_is_trained_and_the_rest_by_whoever_is_free
    plan = plan(piece(document(step("s1", "sand", grits: [ "P180" ]), coat("s2"))),
                people: [ person("osei", skills: []), person("imke", skills: [ "spray" ]) ])
    assert_equal %w[osei imke], plan.placements.map(&:person)
  end

  def test_nobody_trained_is_infeasible
    assert_equal "hours",
                 report(plan(piece(document(coat("s1"))),
                             people: [ person("osei", skills: []) ]))["infeasible"]["constraint"]
  end

  def test_each_piece_that_cannot_be_placed_says_why
    cold = piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2)), id: "cold")
    made = plan(cold, piece(document(coat("s1")), id: "sprayed"),
                piece(document(step("s1", "sand", grits: %w[P180])), id: "fine"),
                people: [ person("osei", skills: []) ], t_c: 3)
    infeasible = report(made)["infeasible"]
    assert_equal [ "milestone", [ "cold/s1/2/show" ] ], infeasible.values_at("constraint", "passes")
    assert_equal [ { "constraint" => "hours", "passes" => [ "sprayed/s1/1/show" ] } ], infeasible["also"]
    assert_equal %w[No\ date\ can\ be\ given], findings(made, "time.due", "sprayed").map(&:title)
    assert_empty findings(made, "time.due", "fine")
  end

  def test_two_people_work_at_once_and_each_in_their_own_hours
    late = WEEK.transform_values { [ %w[13:00 18:00] ] }
    pieces = %w[a b].map { |id|
      piece(document(step("s1", "sand", grits: %w[P120 P150 P180], machine: true)), id: id, area_m2: 3.0)
    }
    both = plan(*pieces, people: [ person("imke"), person("osei") ])
    assert_equal [ at("2026-11-23T07:30+01:00") ], both.placements.map(&:hands_start).uniq
    turns = plan(
      *pieces,
      people: [ person("imke", week: WEEK.transform_values { [ %w[07:30 09:00] ] }), person("osei", week: late) ]
    )
    assert_equal [ [ "imke", at("2026-11-23T07:30+01:00") ], [ "osei", at("2026-11-23T13:00+01:00") ] ],
                 turns.placements.map { |found| [ found.person, found.hands_start ] }
  end

  def test_a_piece_that_is_somebodys_own_waits_for_them
    busy = plan(piece(document(step("s1", "sand", grits: [ "P180" ])), by: "osei"),
                people: [ person("imke"), person("osei", week: { "tue" => [ %w[08:00 12:00] ] }) ])
    assert_equal [ "osei", at("2026-11-24T08:00+01:00") ],
                 busy.placements.first.then { |found| [ found.person, found.hands_start ] }
    assert_match(/not among the people/,
                 refusal { Rhexon::Planning::Shop.new(shop_json(piece(document(coat("s1")), by: "wren"))) }.message)
  end

  def test_a_person_can_be_pinned_without_a_time
    pin = { "coat" => 1, "person" => "osei" }
    plan = plan(piece(document(coat("s1", pins: [ pin ]))), people: [ person("imke"), person("osei") ])
    assert_equal "osei", plan.placements.first.person
  end

  # --- rooms and tools

  # Laid 07:40 to 07:45, dust-safe half of touch: 12.5 min, 07:58: the paper is laid out from 07:55. Elsewhere sanding
  # goes on at once.
  def test_dust_waits_until_the_film_in_the_room_is_dust_safe
    pieces = [
      piece(document(coat("s1")), id: "a"),
      piece(document(step("s1", "sand", grits: [ "P180" ])), id: "b", release: "2026-11-23T07:35+01:00")
    ]
    people = [ person("imke"), person("osei") ]
    one_room = plan(*pieces, people: people).of_piece("b").first
    assert_equal [ at("2026-11-23T07:55+01:00"), "dust" ], [ one_room.hands_start, one_room.because ]
    assert_equal at("2026-11-23T07:35+01:00"),
                 plan(*pieces, people: people, rooms: ROOMS).of_piece("b").first.hands_start
  end

  # Sanded 07:30 to 07:55; dust settles until 08:25; the spray starts 10 min before.
  def test_a_film_waits_until_dust_has_settled_and_wet_sanding_raises_none
    dusty = plan(piece(document(step("s1", "sand", grits: [ "P180" ]), coat("s2"))))
    assert_equal "11-23T08:15", start(dusty, "s2/1")
    assert_equal at("2026-11-23T08:25+01:00"), placement(dusty, "s2/1").work_start
    wet = plan(piece(document(step("s1", "sand", grits: [ "P180" ], wet: true), coat("s2"))))
    assert_equal "11-23T07:55", start(wet, "s2/1")
  end

  # 28 min of hands: the second piece enters when the first leaves the room, on the grid.
  def test_a_spray_room_holds_one_pass_and_a_gun_too
    pieces = %w[a b].map { |id| piece(document(coat("s1")), id: id) }
    people = [ person("imke"), person("osei") ]
    starts = ->(**fields) {
      plan(*pieces, people: people, **fields)
          .placements
          .map(&:hands_start).sort
          .each_cons(2)
          .map { |one, other| other - one }
    }
    assert_equal [ 0 ], starts.call
    assert_equal [ 30 ], starts.call(rooms: ROOMS)
    assert_equal [ 30 ], starts.call(tools: [ { "id" => "gun", "for" => "spray" } ])
    assert_equal [ 0 ],
                 starts.call(tools: [ { "id" => "gun", "for" => "spray" }, { "id" => "other", "for" => "spray" } ])
  end

  # Varnish laid from 08:05 to 08:12 in the same room is dust-safe hours later: nothing is sanded beside it, whoever
  # pinned it, unless the dust has settled before.
  def test_a_pin_that_would_raise_dust_beside_a_wet_film_lapses
    varnish = coat("s1", product: "varnish", method: "brush", wet_um: 85,
                         pins: [ { "coat" => 1, "start" => "2026-11-23T08:00+01:00" } ])
    sanding = ->(time) {
      pins = [ { "coat" => 1, "start" => "2026-11-23T#{time}+01:00" } ]
      piece(document(step("s1", "sand", grits: [ "P180" ], pins: pins)), id: "other")
    }
    two = %w[imke osei].map { |id| { "id" => id, "week" => WEEK } }
    lapsed = ->(time, **more) { plan(piece(document(varnish)), sanding.(time), people: two, **more).build.lapsed }
    assert_equal [ "other/s1/1/show" ], lapsed.("09:00")
    assert_empty lapsed.("16:00")
    bay = { "id" => "bay", "uses" => [ "sand" ], **BENCH }
    assert_empty lapsed.("09:00", rooms: [ bay, { "id" => "bench", "uses" => [ "finish" ], **BENCH } ])
    done = [ { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T08:12+01:00" } ]
    assert_equal [ "other/s1/1/show" ], lapsed.("09:00", log: done, now: "2026-11-23T08:30+01:00")
  end

  # 0.05 m² take a minute of laying and one of wiping, whatever they take by area. Of the 15 min until it is tacky 5 are
  # waited and up to 5 go to the grid: six and more are laid and wiped in turns, as fifty are.
  def test_however_many_small_pieces_are_wiped_off_in_time
    oil = { "id" => "oil", "name" => "Oil stain", "class" => "pigment_oil_stain", "colour" => "tinted" }
    stain = step("s1", "stain", product: "oil", method: "wipe", wipe_off: true)
    [ 1, 6, 9, 12, 16, 20, 24, 50 ].each do |count|
      made = plan(piece(document(stain), count: count, area_m2: 0.05), products: PRODUCTS + [ oil ])
      assert made.build.ready["top"], count.to_s
      assert_equal count > 5, !placement(made, "s1/1").pass.sections.nil?, count.to_s
    end
  end

  # Three pieces lie until they can be handled, 240 min after 07:45 or 07:55; four places hold no second three before.
  def test_the_rack_holds_so_many_pieces
    pieces = %w[a b].map { |id| piece(document(coat("s1")), id: id, count: 3) }
    rooms = ->(places) { [ { "id" => "bench", "rack_places" => places, **BENCH } ] }
    second = plan(*pieces, rooms: rooms.call(4)).placements.last
    assert_equal [ "rack", at("2026-11-23T11:45+01:00") ], [ second.because, second.hands_start ]
    assert_operator plan(*pieces, rooms: rooms.call(6)).placements.last.hands_start, :<, at("2026-11-23T09:00+01:00")
    lots = plan(*pieces, rooms: rooms.call(2)).of_piece("a")
    assert_equal [ 0..1, 2..2 ], lots.map { |found| found.pass.range }, "more pieces than places are laid in lots"
    assert_operator lots.last.work_start, :>=, lots.first.work_end + 240
    none = plan(*pieces, rooms: rooms.call(0) + [ { "id" => "loft", **BENCH } ])
    assert_equal "rack", report(none)["infeasible"]["constraint"]
    finding = findings(none, "time.due", "a").first
    mended = none.with_schedule(
      "a", Rhexon::Schedule::Edit.apply(none.piece("a").schedule, finding.remedies.first.operation)
    )
    assert mended.build.ready["a"], finding.remedies.first.label
  end

  # Ten pieces on five places: both lots of lacquer wait 60 h for the filler under them, laid by 08:23 on Monday and by
  # 08:43 on Tuesday, and both lots of the next coat for theirs.
  def test_every_lot_of_a_coat_waits_for_what_lies_under_it
    filler = { "id" => "fil", "name" => "Filler", "class" => "paste_filler_oil" }
    fill = step("s1", "fill", product: "fil", method: "wipe", way: "filler")
    lots = plan(piece(document(fill, coat("s2", product: "lacquer", coats: 2)), count: 10, area_m2: 0.8, wood: "open"),
                rooms: [ { "id" => "bench", "rack_places" => 5, **BENCH } ], products: PRODUCTS + [ filler ])
    laid = ->(tail) { lots.placements.select { |found| found.pass.key.include?(tail) && !found.pass.inserted } }
    filled, first, second = laid.("/s1/1/"), laid.("/s2/1/"), laid.("/s2/2/")
    assert_equal [ 0..4, 5..9 ], first.map { |found| found.pass.range }
    first.zip(filled).each { |coat, below| assert_operator coat.work_start, :>=, below.work_end + 60 * 60 }
    assert_equal filled.map { |found| [ found.pass.key ] },
                 first.map { |found| found.waits.map { |wait| wait.pass.key } }
    assert_equal first.map { |found| [ found.pass.key ] },
                 second.map { |found| found.waits.map { |wait| wait.pass.key }.uniq }
  end

  # --- faces

  def test_on_a_flat_support_the_piece_is_turned_when_it_can_be_handled
    plan = plan(two_sided([ coat("s1") ]))
    assert_equal %w[top/s1/1/show+edges top/s1/1/back], keys(plan)
    # laid by 07:43, handle 240 min later: 11:43; hands 10 min before, on the grid
    assert_equal [ at("2026-11-23T11:35+01:00"), "milestone" ],
                 [ on(plan, "s1/1/back").hands_start, on(plan, "s1/1/back").because ]
  end

  # On points it is turned at once, but the edges that are caught again must be dust-safe: 07:44 + 12.5 = 07:57.
  def test_on_points_the_edges_set_the_pace_unless_they_are_masked
    waits = ->(**fields) {
      on(plan(two_sided([ coat("s1", **fields) ], support: "points")),
         "s1/1/back").waits.map(&:name)
    }
    assert_equal [ "dust_safe" ], waits.call
    assert_empty waits.call(mask: [ "edges" ])
  end

  def test_hung_work_is_laid_on_all_round_in_one_pass
    assert_equal [ "top/s1/1/show+back+edges" ], keys(plan(two_sided([ coat("s1") ], support: "hung")))
  end

  def test_caught_edges_get_the_film_of_both_coats
    film = ->(**fields) {
      plan(two_sided([ coat("s1", **fields) ], support: "points"))
          .film("top", "edges").final.layers.size
    }
    assert_equal 2, film.call
    assert_equal 1, film.call(mask: [ "edges" ])
  end

  def test_coats_go_coat_by_coat_and_face_by_face
    plan = plan(two_sided([ coat("s1", coats: 2) ], support: "points"))
    assert_equal %w[top/s1/1/show+edges top/s1/1/back top/s1/2/show+edges top/s1/2/back], keys(plan)
    assert_equal "top/s1/1/show+edges", on(plan, "s1/2/show+edges").window.of.key, "a caught coat begins no window"
  end

  # --- hard windows

  # Oil stain on 0.6 m²: wiped at 12 m²/h, 3 min, and 1 to take it up; off within 5 to 15 min of the end of laying, here
  # 07:37 + 5 = 07:42, on the grid 07:45.
  def test_what_is_flooded_on_is_wiped_off_in_its_window
    plan = plan(piece(document(step("s1", "stain", product: "umber", method: "wipe", wipe_off: true)), area_m2: 0.6))
    wet, wiped = plan.placements
    assert_equal [ "top/s1/1/show/wipe", "wipe_off" ], [ wiped.pass.key, wiped.pass.kind ]
    assert_equal [ at("2026-11-23T07:37+01:00"), at("2026-11-23T07:45+01:00") ], [ wet.work_end, wiped.work_start ]
    assert_equal({ "kind" => "wipe_off", "from" => "2026-11-23T07:30+01:00", "to" => "2026-11-23T07:51+01:00" },
                 report(plan)["passes"].first["watched"])
  end

  # The shop shuts 16:30: begun at 16:20 the stain could not be wiped off any more.
  def test_nothing_is_flooded_on_that_cannot_be_wiped_off_before_closing
    plan = plan(piece(document(step("s1", "stain", product: "umber", method: "wipe", wipe_off: true))),
                now: "2026-11-23T16:15+01:00")
    assert_equal at("2026-11-24T07:30+01:00"), plan.placements.first.hands_start
  end

  FLASH = PRODUCTS.map { |record|
    record["id"] ==
      "w20" ? record.merge("milestones_min" => {
                             "flash_min" => 15, "flash_max" => 40, "soft_earliest" => 60, "soft_latest" => 120
                           }) : record
  }.freeze

  # Laid by 07:45: the second coat from 08:00 to 08:25 in place of the sheet's 90 min.
  def test_wet_on_wet_goes_by_the_flash_off
    second = placement(plan(piece(document(coat("s1", coats: 2, wet_on_wet: true))), products: FLASH), "s1/2")
    assert_equal [ at("2026-11-23T08:00+01:00"), at("2026-11-23T08:25+01:00"), "open" ],
                 [ second.window.opens_at, second.window.closes_at, second.window.state ]
    assert second.work_start.between?(second.window.opens_at, second.window.closes_at)
  end

  def test_without_flash_off_times_on_the_sheet_a_coat_waits_for_its_window_as_ever
    assert_equal "recoat_opens",
                 placement(plan(piece(document(coat("s1", coats: 2, wet_on_wet: true)))), "s1/2").waits.first.name
  end

  # Soft 60 to 120 min after 07:43.
  def test_a_film_is_levelled_while_it_is_soft
    level = placement(
      plan(piece(document(coat("s1"), step("s2", "level", grits: [ "P320" ], aim: "between", while_soft: true))),
           products: FLASH),
      "s2/1"
    )
    assert_equal "soft_earliest", level.waits.first.name
    assert level.work_start.between?(at("2026-11-23T08:43+01:00"), at("2026-11-23T09:43+01:00"))
  end

  # Pot life of W20 240 min, 80 % of it from the set-up on: two coats of a morning fit, three do not.
  def test_one_pot_for_all_coats_of_a_step
    plan = plan(piece(document(coat("s1", coats: 2, one_batch: true))))
    assert_equal 1, plan.batches.size
    assert_operator placement(plan, "s1/2").work_end, :<=, at("2026-11-23T07:30+01:00") + 192
    four = plan(piece(document(coat("s1", coats: 4, one_batch: true))))
    assert_equal "hard_window", report(four)["infeasible"]["constraint"]
    finding = findings(four, "time.due").first
    assert_match(/window is shorter/, finding.sentence)
    mended = four.with_schedule(
      "top", Rhexon::Schedule::Edit.apply(four.piece("top").schedule, finding.remedies.first.operation)
    )
    assert mended.build.ready["top"], "the remedy gives a date"
  end

  def test_a_hard_window_that_is_longer_than_any_interval_is_infeasible
    short = { "mon" => [ %w[08:00 08:45] ], "tue" => [ %w[08:00 08:45] ] }
    infeasible = report(plan(piece(document(coat("s1", coats: 2, one_batch: true))), week: short))["infeasible"]
    assert_equal "hard_window", infeasible["constraint"]
  end
end
