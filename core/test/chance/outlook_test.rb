require "test_helper"

class OutlookTest < CoreTest
  Outlook = Rhexon::Chance::Outlook

  def outlook(plan, runs: 300) = Outlook.new(plan, runs: runs)

  def test_draws_are_normal_and_the_same_for_the_same_name
    draws = Rhexon::Chance::Draws.new(7)
    key = draws.key("top/s1/1/show/early")
    all = Array.new(4000) { |run| draws.normal(key, run) }
    assert_in_delta 0, all.sum / all.size, 0.05
    assert_in_delta 1, Math.sqrt(all.sum { |draw| draw**2 } / all.size), 0.05
    assert_equal all.first(5), Array.new(5) { |run| Rhexon::Chance::Draws.new(7).normal(key, run) }
    other = Array.new(4000) { |run| draws.normal(draws.key("top/s2/1/show/early"), run) }
    assert_in_delta 0, all.zip(other).sum { |one, two| one * two } / 4000, 0.06, "names do not go together"
  end

  # One coat, ready at handle 240 min after 07:43. Nothing known: the spread of ln is sqrt(0.35² + 0.15²) = 0.38,
  # besides weather and hands:
  # one in ten before 240 · e^(-0.49) = 147 min, one in ten after 240 · e^0.49 = 391.
  def test_dates_spread_as_the_belief_says
    found = outlook(plan(piece(document(coat("s1")))), runs: 2000)
    laid = at("2026-11-23T07:43+01:00")
    assert_in_delta 240, found.quantile("top", 0.5) - laid, 12
    assert_in_delta 147, found.quantile("top", 0.1) - laid, 14
    assert_in_delta 391, found.quantile("top", 0.9) - laid, 30
  end

  def test_a_belief_that_is_sure_narrows_the_dates
    beliefs = %w[early hard].map do |group|
      { "product" => "w20", "group" => group, "m" => 0.0, "s" => 0.02, "coats" => 60 }
    end
    spread = ->(**fields) {
      outlook(plan(piece(document(coat("s1"))), **fields)).then { |found|
        found.quantile("top", 0.9) - found.quantile("top", 0.1)
      }
    }
    assert_operator spread.call(beliefs: beliefs), :<, spread.call / 1.5
  end

  def test_the_share_that_is_in_time_and_the_same_again
    due = "2026-11-23T11:43+01:00"
    made = plan(piece(document(coat("s1")), due: due))
    assert_in_delta 0.5, outlook(made).share_by("top", at(due)), 0.12
    assert_equal outlook(made).dates("top"), outlook(made).dates("top")
    assert_equal 1.0, outlook(made).share_by("top", at(due) + 9000)
  end

  def test_a_window_that_is_lost_in_a_run_costs_a_scuff_and_not_the_run
    tight = plan(piece(document(coat("s1", coats: 3))), now: "2026-11-23T12:30+01:00")
    found = outlook(tight)
    assert_equal 300, found.dates("top").size
    assert_operator found.quantile("top", 0.9), :>, tight.build.ready["top"]
  end

  # A coat of varnish under four of lacquer: its day and night of drying drives the date.
  def test_what_drives_the_date
    made = plan(
      piece(
        document(coat("s1", product: "varnish", method: "brush", wet_um: 85), coat("s2", product: "lacquer", coats: 2))
      )
    )
    assert_includes outlook(made).drivers("top").map(&:key), "top/s1/1/show"
  end

  def test_a_product_is_named_once_however_many_of_its_coats_drive_the_date
    made = plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 3))))
    assert_equal [ "varnish" ], outlook(made).drivers("top").map { |driver| driver.pass.product.id }
  end

  def test_what_is_done_is_not_drawn_again
    log = [
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:43+01:00" },
      {
        "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "handle", "answer" => "dry",
        "at" => "2026-11-23T11:00+01:00"
      }
    ]
    found = outlook(plan(piece(document(coat("s1"))), log: log, now: "2026-11-23T12:00+01:00"))
    assert_equal [ at("2026-11-23T11:00+01:00") ], found.dates("top").uniq
  end

  def test_people_and_order_stay_as_planned_over_several_pieces
    pieces = %w[a b c].map do |id|
      piece(document(step("s0", "sand", grits: [ "P180" ]), coat("s1", coats: 3)), id: id, count: 2)
    end
    made = plan(*pieces)
    found = outlook(made)
    %w[a b c].each { |id| assert_in_delta made.build.ready[id], found.quantile(id, 0.5), 1440, id }
  end
end
