require "test_helper"

# Air and dates, each check in the case it is for, in its ordinary silent case, and its remedy applied and planned
# again; and the catalogue of them all.
class ChecksTest < CoreTest
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

  # --- climate.damp, climate.dew: at 20 °C the dew point is 16.44 at 80 %, 17.17 at 84 %, 17.9 at 88 %; 17 is the most
  def test_waterborne_in_damp_air_and_varnish_near_the_dew_point
    damp = plan(piece(document(coat("s1"), room: "bay")), rooms: damp_and_dry(88))
    assert_equal [ "caution" ], levels(damp, "climate.damp")
    assert_empty findings(damp, "climate.dew"), "said once"
    assert_empty findings(remedied(damp, "climate.damp"), "climate.damp")
    brushed = coat("s1", product: "varnish", method: "brush", wet_um: 85)
    near = plan(piece(document(brushed, room: "bay")), rooms: damp_and_dry(84))
    assert_in_delta 17.17, findings(near, "climate.dew").first.figures[:dew_point_c], 0.05
    assert_empty findings(remedied(near, "climate.dew"), "climate.dew")
  end

  def test_usual_air_raises_nothing_and_blush_is_said_once
    brushed = coat("s1", product: "varnish", method: "brush", wet_um: 85)
    [ coat("s1"), brushed, coat("s1", product: "seal", method: "brush", wet_um: 70) ].each do |usual|
      made = plan(piece(document(usual)), rh: 80)
      assert_empty findings(made, "climate.damp") + findings(made, "climate.dew")
    end
    assert_empty findings(lacquered(90), "climate.dew"), "blush says it"
  end

  def damp_and_dry(rh)
    [ "bay", "loft" ].zip([ rh, 50 ]).map { |id, air| { "id" => id, "climate" => [ { "t_c" => 20, "rh" => air } ] } }
  end

  # --- time.due
  def test_late_pieces_get_only_remedies_that_make_them_earlier
    late = plan(piece(document(coat("s1", coats: 4)), use: "furniture", due: "2026-11-23T15:00+01:00"))
    finding = findings(late, "time.due").first
    assert_equal "caution", finding.level
    assert_operator finding.figures[:late_min], :>, 0
    *sooner, other = finding.remedies
    assert_equal "ways", other.place["name"]
    sooner.each do |remedy|
      assert_operator late.with_schedule("top",
                                         Rhexon::Schedule::Edit.apply(
                                           document_of(late), remedy.operation
                                         )).build.ready["top"],
                      :<, late.build.ready["top"]
    end
    assert_includes finding.remedies.map(&:label).join, "One coat less"
  end

  # Whoever writes does not wait for them, and whoever looks waits for so many passes and no more.
  def test_remedies_are_planned_when_they_are_asked_for_within_so_many_passes
    rooms = %w[bay loft attic shed].map { |id| { "id" => id, "climate" => [ { "t_c" => 22, "rh" => 45 } ] } }
    top = piece(document(coat("s1", coats: 4)), use: "furniture", due: "2026-11-23T15:00+01:00")
    late = -> { plan(top, rooms: rooms) }
    finding = ->(made = late.()) { findings(made, "time.due").first }
    assert_predicate finding.(), :behind?
    made = late.()
    few = finding.(made).look_behind!(passes: 2 * made.model.size)
    refute_predicate few, :behind?
    ways = ->(told) { told.remedies.select(&:operation).size }
    assert_operator ways.(few), :<=, 2
    assert_equal 7, 2 + few.untried, "four rooms, a coat less, by brush and by roller"
    all = finding.().look_behind!(passes: nil)
    assert_equal 0, all.untried
    assert_operator ways.(all), :>=, ways.(few)
    assert_equal 1, finding.().look_behind!(passes: 1).then { |told| 7 - told.untried }, "one is tried at least"
  end

  def test_in_time_or_without_a_date_nothing_is_raised
    assert_empty findings(plan(piece(document(coat("s1")), due: "2026-12-01T12:00+01:00")), "time.due")
    assert_empty findings(plan(piece(document(coat("s1")))), "time.due")
  end

  # --- the catalogue
  def test_every_file_is_a_rule_and_stops_come_first
    assert_equal 72, Rhexon::Checks::Catalogue.rules.size
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
