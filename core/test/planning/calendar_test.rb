require "test_helper"

class CalendarTest < CoreTest
  def zone = @zone ||= Rhexon::Zone.new("Europe/Berlin")

  def calendar(week: WEEK, except: [], from: "2026-11-23T07:00+01:00")
    Rhexon::Planning::Calendar.new(week: week, except: except, zone: zone, from: at(from), days: 400)
  end

  def test_instants_are_read_with_their_offset_and_cut_to_the_minute
    assert_equal at("2026-11-23T06:40Z"), at("2026-11-23T07:40:59+01:00")
    assert_equal "2026-11-23T07:40+01:00", zone.iso(at("2026-11-23T06:40Z"))
    assert_match(/ISO 8601 with an offset/, refusal { at("2026-11-23 07:40") }.message)
    assert_match(/not a time/, refusal { at("soon") }.message)
  end

  def test_offsets_that_no_zone_has_are_refused
    [ "2026-11-23T07:40+99:99", "2026-11-23T07:40+14:60", "2026-11-23T07:40+15:00" ].each do |text|
      assert_match(/not a time/, refusal { at(text) }.message, text)
    end
    assert_equal at("2026-11-22T17:40Z"), at("2026-11-23T07:40+14:00")
  end

  # A clock time that a change skips is the first minute after it, whether half an hour (Lord Howe), an hour, two
  # hours (Troll) or a whole day (Apia in 2011) is left out.
  def test_skipped_clock_times_of_any_length
    { "Europe/Berlin" => [ "2026-03-29", "02:30", "2026-03-29T03:00+02:00" ],
      "Australia/Lord_Howe" => [ "2026-10-04", "02:10", "2026-10-04T02:30+11:00" ],
      "Antarctica/Troll" => [
        "2026-03-29", "02:30", "2026-03-29T03:00+02:00"
      ], "Pacific/Apia" => [ "2011-12-30", "10:00", "2011-12-31T00:00+14:00" ] }.each do |name, (date, clock, expected)|
      found = Rhexon::Zone.new(name)
      assert_equal expected, found.iso(found.at(Date.iso8601(date), clock)), name
    end
  end

  # Days of 23 and of 25 hours end at midnight.
  def test_the_end_of_a_day_on_which_the_clocks_change
    assert_equal at("2026-03-30T00:00+02:00"), zone.end_of_day(at("2026-03-29T00:30+01:00"))
    assert_equal at("2026-10-26T00:00+01:00"), zone.end_of_day(at("2026-10-25T00:30+02:00"))
  end

  def test_an_unknown_zone_is_refused
    assert_match(/Tarn\/Yard is not known/, refusal { Rhexon::Zone.new("Tarn/Yard") }.message)
  end

  # Berlin springs forward on 29 March 2026: 07:30 local is 06:30 UTC the day before and 05:30 UTC on the day.
  def test_shop_hours_follow_summer_time
    week = WEEK.merge("sat" => [ [ "07:30", "12:00" ] ], "sun" => [ [ "07:30", "12:00" ] ])
    opens = calendar(week: week, from: "2026-03-28T00:00+01:00")
      .between(at("2026-03-28T00:00+01:00"), at("2026-03-30T00:00+02:00"))
      .map(&:first)
    assert_equal [ at("2026-03-28T06:30Z"), at("2026-03-29T05:30Z") ], opens
  end

  # A night shift over the autumn change, 22:00 to 06:00, is nine hours long.
  def test_a_shift_through_the_autumn_change_is_an_hour_longer
    week = { "sat" => [ [ "22:00", "24:00" ] ], "sun" => [ [ "00:00", "06:00" ] ] }
    interval = calendar(week: week, from: "2026-10-20T00:00+02:00")
      .between(at("2026-10-24T12:00+02:00"), at("2026-10-26T00:00+01:00")).first
    assert_equal 9 * 60, interval[1] - interval[0]
  end

  def test_a_clock_time_that_summer_time_skips_moves_past_the_gap
    assert_equal at("2026-03-29T03:00+02:00"), zone.at(Date.new(2026, 3, 29), "02:30")
  end

  def test_holidays_and_shortened_days_replace_the_week
    except = [
      { "date" => "2026-11-24", "open" => [] }, { "date" => "2026-11-28", "open" => [ [ "08:00", "12:00" ] ] }
    ]
    open = calendar(except: except).between(at("2026-11-23T00:00+01:00"), at("2026-11-29T00:00+01:00"))
    assert_equal %w[2026-11-23 2026-11-25 2026-11-26 2026-11-27 2026-11-28],
                 open.map { |from, _| zone.date(from).iso8601 }
    assert_equal 240, open.last[1] - open.last[0]
  end

  def lane(**fields)
    Rhexon::Planning::Lane.new(
      Rhexon::Planning::Hours.new(calendar(**fields), at("2026-11-23T07:00+01:00"), at("2027-12-01T00:00+01:00"))
    )
  end

  def test_hands_find_the_first_gap_that_is_long_enough
    hands = lane
    hands.take(at("2026-11-23T08:00+01:00"), at("2026-11-23T15:58+01:00"))
    assert_equal at("2026-11-23T07:30+01:00"), hands.slot(at("2026-11-23T07:00+01:00"), 30)
    assert_equal at("2026-11-24T07:30+01:00"), hands.slot(at("2026-11-23T07:31+01:00"), 31),
                 "30 minutes are left before closing"
  end

  def test_sanding_pauses_at_closing_between_alike_pieces_only
    hands = lane
    stretches = hands.stretches(at("2026-11-23T14:30+01:00"), 50, 4)
    assert_equal [
      [ at("2026-11-23T14:30+01:00"), at("2026-11-23T16:10+01:00") ],
      [ at("2026-11-24T07:30+01:00"), at("2026-11-24T09:10+01:00") ]
    ],
                 stretches
  end

  def test_a_shop_that_never_closes_finds_room_beyond_midnight
    always = %w[mon tue wed thu fri sat sun].to_h { |day| [ day, [ %w[00:00 24:00] ] ] }
    hands = lane(week: always)
    assert_equal at("2026-11-23T20:00+01:00"), hands.slot(at("2026-11-23T20:00+01:00"), 600)
    hands.take(at("2026-11-23T20:00+01:00"), at("2026-12-20T20:00+01:00"))
    assert_equal at("2026-12-20T20:00+01:00"), hands.slot(at("2026-11-23T20:00+01:00"), 600)
  end

  def test_no_hours_at_all_give_no_slot
    assert_nil lane(week: {}).slot(at("2026-11-23T07:00+01:00"), 10)
  end
end
