require "test_helper"

# The shop's own drying factor: ln b normal, taught by one interval a coat.
class BeliefTest < CoreTest
  Belief = Rhexon::Drying::Belief
  Normal = Rhexon::Statistics::Normal
  FIRST = Belief.new(0.0, 0.35, 0)

  # 1/s² = 1/0.35² + 1/0.25² = 24.163, s = 0.2034; m = 0.2 · 16 / 24.163 = 0.1324.
  def test_an_exact_look
    taught = FIRST.exactly(0.2)
    assert_in_delta 0.1324, taught.m, 1e-4
    assert_in_delta 0.2034, taught.s, 1e-4
    assert_equal 1, taught.coats
  end

  # A narrow interval says what an exact look says; one without ends says nothing.
  def test_intervals_between_nothing_and_exact
    narrow = FIRST.after(0.1999, 0.2001)
    assert_in_delta FIRST.exactly(0.2).m, narrow.m, 1e-3
    assert_in_delta FIRST.exactly(0.2).s, narrow.s, 1e-3
    open = FIRST.after(nil, nil)
    assert_in_delta 0, open.m, 1e-9
    assert_in_delta 0.35, open.s, 1e-9
  end

  # Dry at the first look at x = 0: below the mean of its half normal. v = 0.43012; E = -0.79788; m' = 0.1225/0.43012
  # · E = -0.22724.
  def test_dry_at_the_first_look_moves_the_belief_down
    taught = FIRST.after(nil, 0.0)
    assert_in_delta(-0.22724, taught.m, 1e-4)
    assert_operator taught.s, :<, FIRST.s
  end

  def test_an_interval_far_outside_is_believed_without_breaking
    taught = FIRST.after(20.0, 21.0)
    assert taught.m.finite? && taught.s.finite?
    assert_operator taught.m, :>, 5
  end

  # Looks every tenth of the time at coats of a true factor 1.2: taught by intervals the belief comes to 1.2.
  def test_forty_coats_of_looks_find_the_true_factor
    random = Random.new(4)
    belief = 40.times.reduce(FIRST) do |so_far, _|
      dry = Math.log(1.2) + 0.15 * Normal.draw(random)
      look = (dry / 0.1).ceil * 0.1
      so_far.after(look - 0.1, look)
    end
    assert_in_delta 1.2, belief.factor, 0.08
  end

  def look(answer, at, **fields)
    {
      "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "recoat_opens", "answer" => answer, "at" => at,
      **fields.transform_keys(&:to_s)
    }
  end

  # Laid by 07:43, recoat 90 min on the sheet: not yet at 09:28 (105 min), dry at 09:43 (120): ln of 7/6 to 4/3, one
  # coat.
  def test_all_looks_at_one_coat_are_one_interval
    log = [
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:43+01:00" },
      look("not_yet", "2026-11-23T09:10+01:00"), look("not_yet", "2026-11-23T09:28+01:00"),
      look("dry", "2026-11-23T09:43+01:00")
    ]
    made = plan(piece(document(coat("s1", coats: 2))), log: log, now: "2026-11-23T09:45+01:00")
    found = Rhexon::Planning::Learning.observations(made.shop)
    assert_equal 1, found.size
    assert_in_delta Math.log(7 / 6.0), found.first.from, 1e-6
    assert_in_delta Math.log(4 / 3.0), found.first.to, 1e-6
    taught = Rhexon::Planning::Learning.taught(found)
    expected = FIRST.after(Math.log(7 / 6.0), Math.log(4 / 3.0))
    assert_equal [ "w20", "early", 1 ], taught.first.values_at("product", "group", "coats")
    assert_in_delta expected.m, taught.first["m"], 1e-9
    exact = Rhexon::Planning::Learning.taught(
      Rhexon::Planning::Learning.observations(
        plan(piece(document(coat("s1", coats: 2))),
             log: log[0..2] + [ look("dry", "2026-11-23T09:43+01:00", exact: true) ],
             now: "2026-11-23T09:45+01:00").shop
      )
    )
    assert_in_delta FIRST.exactly(Math.log(4 / 3.0)).m, exact.first["m"], 1e-9
  end

  def test_a_coat_that_was_never_found_dry_teaches_nothing
    log = [
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:43+01:00" },
      look("not_yet", "2026-11-23T09:28+01:00")
    ]
    assert_empty Rhexon::Planning::Learning.observations(
      plan(piece(document(coat("s1", coats: 2))), log: log, now: "2026-11-23T09:30+01:00").shop
    )
  end

  # q = 0.9: exp(0 + 1.28155 · sqrt(0.35² + 0.15²)) = exp(0.48800) = 1.6290.
  def test_a_safe_plan_takes_the_quantile_with_the_noise_of_a_coat
    assert_in_delta 1.6290, FIRST.factor(0.9), 1e-3
    assert_in_delta 1.0, FIRST.factor, 1e-12
  end

  def test_a_product_without_a_log_begins_at_half_of_its_mechanism
    shop = Rhexon::Planning::Shop.new(
      shop_json(piece(document(coat("s1"))),
                beliefs: [ { "product" => "w80", "group" => "early", "m" => 0.3, "s" => 0.1, "coats" => 9 } ])
    )
    assert_in_delta 0.15, shop.beliefs.belief_for(shop.products["w20"], "early").m, 1e-9
    assert_in_delta 0, shop.beliefs.belief_for(shop.products["lacquer"], "early").m, 1e-9
  end

  # Recoat of W20 at b = e^0.2: 90 · 1.2214 = 109.9 min; at safety 0.9 the closing shrinks to exp(-1.28155 · 0.15) =
  # 0.8251 of 720.
  def test_plans_use_the_shops_own_factor_and_the_safety_level
    second = ->(**fields) { plan(piece(document(coat("s1", coats: 2))), **fields).placements.last.window }
    beliefs = [ { "product" => "w20", "group" => "early", "m" => 0.2, "s" => 0.1, "coats" => 12 } ]
    laid = at("2026-11-23T07:45+01:00")
    assert_equal 110, second.call(beliefs: beliefs).opens_at - laid
    safe = second.call(beliefs: beliefs, quantile: 0.9)
    assert_equal 594, safe.closes_at - laid
    assert_operator safe.opens_at, :>, laid + 110
  end

  def seen(from, to, exact: false, product: "w20")
    Rhexon::Planning::Learning::Observation.new(product: product, mechanism: "reactive", phase: "early", from: from,
                                                to: to, exact: exact, at: 0)
  end

  # Eight exact coats around a mean of 0 at +0.3 and -0.3: (8 · 0.15² + 8 · 0.3²) / 16 = 0.05625, sd 0.237. Seven say
  # nothing yet.
  def test_how_much_coats_vary_is_learned_from_about_eight_coats_on
    mean = [ { "product" => "w20", "group" => "early", "m" => 0.0 } ]
    coats = Array.new(8) { |index| seen(nil, index.even? ? 0.3 : -0.3, exact: true) }
    assert_in_delta 0.23717, Rhexon::Planning::Learning.coat_sd(coats, mean), 1e-5
    assert_in_delta 0.15, Rhexon::Planning::Learning.coat_sd(coats.first(7), mean), 1e-12
    late = Array.new(12) { seen(nil, 1.5) }
    assert_in_delta 0.15, Rhexon::Planning::Learning.coat_sd(late, mean), 1e-12,
                    "one late look tells nothing of how coats vary"
  end

  # A shop whose coats vary by 0.25: of 60 shops of 40 coats each, looked at every twelfth of the time, the 80 % band
  # holds 8 coats of 10, and not 58 of 100.
  def test_the_band_of_a_shop_whose_coats_vary_holds
    random = Random.new(11)
    held = total = 0
    60.times do
      log = Array.new(40) do
        (Math.log(1.1) + 0.25 * Normal.draw(random))
          .then { |dry| (dry / 0.08).ceil * 0.08 }
          .then { |look| seen(look - 0.08, look) }
      end
      beliefs = Rhexon::Planning::Learning.taught(log)
      belief = Belief.new(*beliefs.first.values_at("m", "s", "coats"))
      sd = Rhexon::Planning::Learning.coat_sd(log, beliefs)
      low, high = [ 0.1, 0.9 ].map { |share| Math.log(belief.factor(share, sd)) }
      200.times do
        held += 1 if (Math.log(1.1) + 0.25 * Normal.draw(random)).between?(low, high)
        total += 1
      end
    end
    assert_in_delta 0.80, held / total.to_f, 0.035
  end

  # What the log shows goes into the plan: closings at safety 0.9 shrink to exp(-1.28155 · 0.25) = 0.7259 of 720.
  def test_a_plan_takes_the_noise_of_the_shop
    second = plan(piece(document(coat("s1", coats: 2))), quantile: 0.9, coat_sd: 0.25).placements.last.window
    assert_equal 522, second.closes_at - at("2026-11-23T07:45+01:00")
  end

  # Handle is 24 h on hardwax oil; dry "just then" after 72 h: x = ln 3, m = 0.662 · 1.0986 = 0.727, 2.07 times the
  # sheet, by the update of one exact look. The ledger says so.
  def test_the_ledger_says_what_moved_a_wait
    oil = { "id" => "oil", "class" => "hardwax_oil" }
    log = [
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-20T07:43+01:00" },
      {
        "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "handle", "answer" => "dry", "exact" => true,
        "at" => "2026-11-23T07:43+01:00"
      }
    ]
    shop = Rhexon::Planning::Shop.new(
      shop_json(
        piece(document(coat("s1", product: "oil", method: "wipe", wet_um: 12))), log: log,
        now: "2026-11-23T08:00+01:00", products: PRODUCTS + [ oil ]
      )
    )
    taught = Rhexon::Planning::Learning.taught(Rhexon::Planning::Learning.observations(shop))
    assert_in_delta 0.662 * Math.log(3), taught.first["m"], 0.001
    made = plan(
      piece(document(coat("s1", product: "oil", method: "wipe", wet_um: 12))), products: PRODUCTS + [ oil ],
      beliefs: taught
    )
    assert_equal "2.07 x the sheet (1 coat logged; last dry after 3 d 0 h 00, just then)",
                 Rhexon::Picture::Sheet.new(made, "top").rows.first.drying.shop
    late = Rhexon::Planning::Learning.taught([ Rhexon::Planning::Learning::Observation.new(
      product: "oil", mechanism: "oxidative", phase: "hard", from: nil, to: 1.0, exact: false, at: 0, after: 4000
    ) ])
    assert_match(
      /one look, which says little/,
      plan(
        piece(document(coat("s1", product: "oil", method: "wipe", wet_um: 12))), products: PRODUCTS + [ oil ],
        beliefs: late
      )
        .shop.beliefs
        .label(Rhexon::Materials::Product.read(oil), "hard")
    )
    kin = plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85))),
               products: PRODUCTS + [ oil ], beliefs: taught).shop
    assert_match(/half of what other oxidative materials showed/, kin.beliefs.label(kin.products["varnish"], "hard"))
  end
end
