require "test_helper"

# What the morning has to know and the evening has to do.
class DayEndsTest < CoreTest
  COLD = [ { "at" => "06:00", "t_c" => 20, "rh" => 50 }, { "at" => "16:30", "t_c" => 8, "rh" => 60 } ].freeze

  def ends(*steps, log: [], now: "2026-11-23T16:00+01:00", **fields)
    made = plan(piece(document(*steps)), log: log, now: now, **fields)
    Rhexon::Picture::DayEnds.new(made, { "top" => "Table" })
  end

  def done(pass, from, to)
    [ [ "started", from ], [ "done", to ] ].map do |kind, at|
      { "kind" => kind, "pass" => "top/#{pass}/show", "at" => "2026-11-23T#{at}+01:00", "person" => "imke" }
    end
  end

  HARD = { "id" => "hard", "name" => "Hard", "class" => "hardener" }.freeze
  TWO = { "id" => "two", "name" => "Two-part clear", "class" => "waterborne_two_part",
          "mix" => [ { "product" => "hard", "parts" => 10, "role" => "hardener", "range" => [ 8, 12 ] } ] }.freeze

  POLISH = { "id" => "polish", "name" => "Polish", "class" => "shellac" }.freeze

  def test_the_evening_cleans_what_was_used_shuts_hardeners_and_keeps_a_jar
    made = ends(coat("s1", product: "two"), log: done("s1/1", "15:00", "15:30"), products: PRODUCTS + [ HARD, TWO ])
    assert_equal [ "Clean gun and cup with water: Two-part clear.",
                   "Shut Hard tight: damp spoils what is left in it.",
                   "Keep a jar of Two-part clear, its parts unmixed, for Table, with today's date and its lot." ],
                 made.evening.map(&:words)
    assert_equal at("2026-11-23T16:30+01:00"), made.closes
    assert_equal at("2026-11-24T07:30+01:00"), made.opens
  end

  # Rags have a line of their own, and a pad is not cleaned but shut away.
  def test_a_stain_that_is_wiped_on_leaves_no_gear_and_a_pad_goes_into_its_jar
    stained = ends(step("s1", "stain", product: "umber", method: "wipe", wipe_off: true), coat("s2"),
                   log: done("s1/1", "15:00", "15:10"))
    assert_empty stained.evening.select { |one| one.kind == "gear" }
    padded = ends(coat("s1", product: "polish", method: "pad"), products: [ *PRODUCTS, POLISH ],
                                                                log: done("s1/1", "15:00", "15:30"))
    assert_equal [ "Put the pad into its closed jar." ],
                 padded.evening.select { |one| one.kind == "gear" }.map(&:words)
  end

  # A satin is flatted and stirred up, a gloss holds nothing that settles; at 8 °C a can gets thick.
  def test_what_is_wanted_first_is_warmed_and_stirred
    rooms = [ { "id" => "bench", "daily" => COLD } ]
    satin = ends(coat("s1", product: "w20"), now: "2026-11-23T16:25+01:00", rooms: rooms).evening
    assert_equal [ [ "warm", "Take W20 clear satin where it is warm: bench falls to 8 °C over night." ],
                   [ "stir", "Stir up from the bottom before it is used: W20 clear satin." ] ],
                 satin.map { |one| [ one.kind, one.words ] }
    gloss = ends(coat("s1", product: "w80"), now: "2026-11-23T16:25+01:00").evening
    assert_empty gloss, "a warm room, and nothing settles"
  end

  def test_nothing_was_done_and_nothing_is_told
    made = ends(coat("s1"), now: "2026-11-23T08:00+01:00")
    assert_empty made.evening
    assert_empty made.morning
    assert_equal({ "imke" => 1 }, made.lists.transform_values(&:size))
  end

  # Varnish laid at 15:30 wants hours: in a room that falls to 8 °C it opens later than in one that is kept warm.
  def test_what_the_heater_is_worth_in_minutes_of_tomorrow
    rooms = [ { "id" => "bench", "daily" => COLD } ]
    varnish = coat("s1", product: "varnish", method: "brush", wet_um: 60, coats: 2)
    night = ends(varnish, log: done("s1/1", "15:00", "15:30"), rooms: rooms).nights.first
    assert_equal [ "bench", 8, 20 ], [ night.room, night.set_c.round, night.held_c.round ]
    assert_operator night.held_at, :<, night.set_at
    opens, closes = at("2026-11-24T07:30+01:00"), at("2026-11-24T16:30+01:00")
    assert_equal night.set_at.clamp(opens, closes) - night.held_at.clamp(opens, closes), night.minutes
    assert_operator night.minutes, :>, 0
    steady = [ { "id" => "bench", "climate" => [ { "t_c" => 20, "rh" => 50 } ] } ]
    assert_empty ends(varnish, log: done("s1/1", "15:00", "15:30"), rooms: steady).nights
    assert_empty ends(step("s1", "sand", grits: [ "P180" ]), rooms: rooms).nights, "nothing dries"
  end

  def test_the_morning_tells_the_night_what_shuts_and_what_was_not_dry
    rooms = [ { "id" => "bench", "daily" => COLD } ]
    looked = { "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "recoat_opens", "answer" => "not_yet",
               "at" => "2026-11-23T16:20+01:00" }
    made = ends(coat("s1", coats: 2), log: [ *done("s1/1", "15:00", "15:30"), looked ], rooms: rooms,
                                      now: "2026-11-24T07:35+01:00")
    kinds = made.morning.map(&:kind)
    assert_equal "bench: 8.0 to 20.0 °C over night, up to 60 % RH.", made.morning.first.words
    assert_includes kinds, "not_dry"
    shuts = made.morning.find { |one| one.kind == "shuts" }
    assert shuts.nil? || shuts.at > at("2026-11-24T07:35+01:00")
  end
end
