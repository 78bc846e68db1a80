require "test_helper"

# What would give a date to work that no day is long enough for.
class WaysOutTest < CoreTest
  # 27 m² by brush in a shop that shuts at noon: 231 min, 1 of handling and 10 around are two minutes too long. All
  # coats of it go by roller, the break is worked through, or the floor is laid in parts.
  def test_what_is_too_long_for_the_morning_is_done_otherwise_through_the_break_or_in_parts
    steps = [ coat("s1", product: "varnish", method: "brush", wet_um: 85),
              coat("s2", product: "varnish", method: "brush", wet_um: 85, coats: 2) ]
    made = plan(piece(document(*steps), area_m2: 27.0), week: WEEK.transform_values {
      [ %w[08:00 12:00], %w[13:00 17:00] ]
    })
    remedies = findings(made, "time.due").first.remedies
    assert_equal [ "Have it rolled", "Work through the break", "Coat it in 2 parts, each a face of its own" ],
                 remedies.map { |remedy| remedy.label[/\A[^:]+/] }
    assert_equal [ nil, { "name" => "shop" }, { "name" => "piece" } ], remedies.map(&:place)
    rolled = Rhexon::Schedule::Edit.apply(made.piece("top").schedule, remedies.first.operation)
    assert_equal %w[roller roller], rolled["steps"].map { |step| step["method"] }
  end

  def test_where_nobody_is_ever_there_no_way_is_offered
    [ step("s1", "sand", grits: [ "P120" ]),
      coat("s1", product: "varnish", method: "brush", wet_um: 85) ].each do |work|
      made = plan(piece(document(work)), week: WEEK.transform_values { [] })
      assert_equal [ [] ], findings(made, "time.due").map(&:remedies), work["kind"]
    end
  end
end
