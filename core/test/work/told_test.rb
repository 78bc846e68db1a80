require "test_helper"

# What measures at the bench tell of an old finish, of the air where a piece will live, of lead and of what holds.
class ToldTest < CoreTest
  OLD = { "is" => "unknown", "coats" => 2, "state" => "sound" }.freeze

  def shop(*steps, log: [], found: OLD, **fields)
    face = { "id" => "show", "area_m2" => 1.0, "wood" => "closed", "found" => found }
    Rhexon::Planning::Shop.new(
      shop_json(piece(document(*steps)).merge("faces" => [ face ], **fields.transform_keys(&:to_s)), log: log)
    )
  end

  def done(step, **fields)
    { "kind" => "done", "pass" => "top/#{step}/1/show", "at" => "2026-11-23T07:20+01:00",
      **fields.transform_keys(&:to_s) }
  end

  def measure(way, **fields) = step("s1", "measure", way: way, **fields)
  def found_now(...) = shop(...).pieces.first.faces["show"]["found"]

  def findings(id, *steps, **given)
    plan = Rhexon::Search::Planner.plan(shop(*steps, **given))
    Rhexon::Checks::Catalogue.findings(plan, "top").select { |finding| finding.id == id }
  end

  def test_a_solvent_drop_tells_what_an_unknown_finish_is
    drop = measure("solvent_drop")
    assert_nil found_now(drop)["family"]
    assert_equal "shellac", found_now(drop, log: [ done("s1", answer: "shellac") ])["family"]
    film = ->(log) {
      Rhexon::Search::Planner.plan(shop(drop, coat("s2"), log: log)).film("top", "show").bare.layers.first
    }
    assert film.call([ done("s1", answer: "shellac") ]).redissolves
    refute film.call([ done("s1", answer: "cross_linked") ]).redissolves
    assert_nil found_now(drop, log: [ done("s1", answer: "shellac") ], found: { "is" => "bare" })["family"]
  end

  def test_a_gauge_tells_how_thick_it_is
    log = [ done("s1", readings: [ 80, 90, 100 ]) ]
    assert_equal 90.0, found_now(measure("film"), log: log)["um"]
    plan = Rhexon::Search::Planner.plan(shop(measure("film"), coat("s2"), log: log))
    assert_in_delta 90, plan.film("top", "show").bare.total_um
  end

  def test_lead_stops_and_none_is_silent
    steps = [ measure("lead"), step("s2", "sand", grits: [ "P120" ]) ]
    finding = findings("safety.lead", *steps, log: [ done("s1", answer: "lead") ]).first
    assert_equal "stop", finding.level
    assert_match(/licensed work and local law/, finding.sentence)
    assert_empty findings("safety.lead", *steps, log: [ done("s1", answer: "no_lead") ])
    assert_empty findings("safety.lead", *steps)
  end

  def test_what_comes_off_is_stripped_first
    steps = [ measure("adhesion"), coat("s2") ]
    off = [ done("s1", answer: "comes_off") ]
    finding = findings("bond.adhesion", *steps, log: off).first
    assert_equal [ "strip", "s1" ], [ finding.remedies.first.operation.dig("step", "kind"),
                                      finding.remedies.first.operation["after"] ]
    strip = step("s3", "strip", way: "scraping")
    assert_empty findings("bond.adhesion", steps[0], strip, steps[1], log: off)
    assert_empty findings("bond.adhesion", *steps, log: [ done("s1", answer: "holds") ])
  end

  # 12 % is at rest at 21 °C and 65 %, and 3 points too wet for a heated room at 50 %.
  def test_moisture_is_judged_by_the_air_where_it_will_live
    steps = [ measure("moisture", readings: 3), coat("s2") ]
    log = [ done("s1", readings: [ 12.0, 11.9, 12.1 ]) ]
    given = { found: { "is" => "bare" }, log: log }
    assert_match(/in a room of 20 °C and 50 % wood comes to 9/,
                 findings("prep.moisture", *steps, **given).first.sentence)
    assert_empty findings("prep.moisture", *steps, **given, place_air: { "t_c" => 21, "rh" => 65 })
    assert_match(/the air where it will live, 24 °C and 30 %, wood comes to 6/,
                 findings("prep.moisture", *steps, **given, place_air: { "t_c" => 24, "rh" => 30 }).first.sentence)
  end

  def test_a_colour_read_before_anything_is_done_is_where_the_look_begins
    log = [ done("s1", readings: [ 61.0, 9.0, 22.0 ]) ]
    now = ->(*steps, **given) { shop(*steps, log: log, **given).pieces.first.faces["show"]["found"] }
    read = measure("colour")
    assert_equal({ "is" => "bare", "lab" => [ 61.0, 9.0, 22.0 ] }, now.call(read, coat("s2"), found: nil))
    typed = now.call(read, found: { "is" => "bare", "lab" => [ 50, 9, 20 ] })
    assert_equal [ 50, 9, 20 ], typed["lab"], "what was typed stays"
    late = shop(coat("s2"), read, log: log, found: nil).pieces.first.faces["show"]["found"]
    assert_nil late, "what is read of our own coats is no beginning"
  end
end
