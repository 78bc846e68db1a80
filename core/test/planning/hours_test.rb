require "test_helper"

# Monday to Friday 7:30 to 16:30, from Monday noon on.
class HoursTest < CoreTest
  def hours
    @hours ||= begin
      zone = Rhexon::Zone.new("Europe/Berlin")
      calendar = Rhexon::Planning::Calendar.new(week: WEEK, except: [ { "date" => "2026-11-25", "open" => [] } ],
                                                zone: zone, from: at("2026-11-23T00:00+01:00"), days: 800)
      Rhexon::Planning::Hours.new(calendar, at("2026-11-23T12:00+01:00"), at("2028-01-01T00:00+01:00"))
    end
  end

  def day(text) = at("2026-11-#{text}+01:00")

  def test_what_is_past_is_not_open
    assert_equal day("23T12:00"), hours.opens.first
    assert_equal 4 * 60 + 30, hours.open_min(day("23T00:00"), day("24T00:00"))
    assert_equal 4 * 60 + 30 + 9 * 60, hours.open_min(day("23T00:00"), day("26T00:00")), "Wednesday is a holiday"
  end

  def test_when_it_shuts_and_opens
    assert_equal day("23T16:30"), hours.shut_after(day("23T13:00"))
    assert_nil hours.shut_after(day("23T17:00"))
    assert hours.shut_at?(day("23T16:30"))
    refute hours.shut_at?(day("23T16:29"))
    assert_equal day("26T07:30"), hours.opening_after(day("24T16:30"))
  end

  def test_the_latest_start_lies_inside_one_open_stretch
    assert_equal day("24T14:30"), hours.latest_start(day("24T16:30"), 120)
    assert_equal day("24T15:30"), hours.latest_start(day("25T12:00"), 60), "nobody is there on Wednesday"
    assert_equal day("23T14:00"), hours.latest_start(day("24T08:00"), 150), "half an hour on Tuesday is too short"
    assert_nil hours.latest_start(day("23T12:30"), 60), "it would have begun before now"
  end

  def test_more_days_come_when_they_are_asked_for
    known = hours.shuts.last
    assert_operator hours.opening_after(known), :>, known
    assert_equal at("2027-06-01T15:30+02:00"), hours.latest_start(at("2027-06-01T16:30+02:00"), 60)
  end
end
