require "test_helper"

# A test of a finished film, once it has cured, tells of it and moves nothing.
class SpotTestTest < CoreTest
  def test_a_test_of_the_cured_film_leaves_the_ready_date_alone
    coats = coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2)
    spot = step("s2", "test", way: "water")
    plain, tested = [ [ coats ], [ coats, spot ] ].map { |steps|
      plan(piece(document(*steps), due: "2026-12-01T12:00+01:00"))
    }
    assert_equal plain.build.ready, tested.build.ready
    assert_equal plain.reached_at("top", "full_cure"), tested.reached_at("top", "full_cure")
    assert_operator placement(tested, "s2/1").hands_start, :>, tested.build.ready["top"] + 20 * 1440
    assert_empty findings(tested, "time.due")
    dates = [ plain, tested ].map { |made| Rhexon::Chance::Sampling.new(made, 50).ready.first }
    assert_equal(*dates)
  end

  def test_what_is_worked_after_the_test_counts
    worked = plan(piece(document(coat("s1"), step("s2", "test", way: "water"),
                                 step("s3", "rub_out", grits: [ "P1500" ]))))
    assert_equal placement(worked, "s3/1").hands_end, worked.build.ready["top"]
  end
end
