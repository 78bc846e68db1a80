require "test_helper"

class SheetTest < CoreTest
  def sheet(plan) = Rhexon::Picture::Sheet.new(plan, "top")

  def rubbed
    plan(
      piece(
        document(step("s0", "stain", product: "russet", method: "wipe"), coat("s1", coats: 3),
                 step("s2", "rub_out", grits: [ "P800" ])),
        use: "furniture"
      )
    )
  end

  def test_layers_rise_wet_and_end_where_the_film_walk_ends
    section = sheet(rubbed).section
    assert_equal [ 1, 2, 3 ], section.layers.map { |layer| layer.pass.split("/")[2].to_i }
    assert_in_delta section.film_um, section.layers.last.top.last.last, 0.2
    assert_in_delta section.layers[1].base_um + section.layers[1].wet_um, section.layers[1].top.map(&:last).max, 0.2
    section.layers.each { |layer| assert_equal layer.top.map(&:first).uniq.sort, layer.top.map(&:first), "times rise" }
  end

  def test_an_abrasion_lowers_the_tops_it_reaches
    section = sheet(rubbed).section
    abrasion = section.abrasions.first
    assert_in_delta 15, abrasion.before_um - abrasion.after_um, 0.11, "texture 12 + 3"
    assert_in_delta abrasion.after_um, section.layers.last.top.last.last, 0.2
  end

  # 100 µm wet at 34 % by volume: 34 µm dry a coat on top. Of open wood's first coats 0.40 and 0.75 stay on the
  # surface, then all: 13.6, 25.5, 34. Sprayed coats leave 0.4 of that in pores 200 µm deep: 5.4, 10.2, 13.6.
  def test_the_pores_fill_from_coat_to_coat
    pores = sheet(plan(piece(document(coat("s1", coats: 3)), wood: "open"))).section.pores
    assert_equal 200, pores.depth_um
    assert_equal [ 5.4, 15.6, 29.2 ], pores.filled.map(&:last)
    assert_equal pores.filled.map(&:first).sort, pores.filled.map(&:first)
  end

  def test_a_bare_board_has_pores_and_nothing_in_them
    pores = sheet(plan(piece(document(step("s0", "sand", grits: [ "P180" ])), wood: "semi_open"))).section.pores
    assert_equal [ 100, [] ], [ pores.depth_um, pores.filled ]
  end

  def test_a_coat_shows_the_texture_of_its_method_until_it_is_levelled
    layers = sheet(rubbed).section.layers
    assert_equal [ [ "spray", 12 ] ], layers.map { |layer| [ layer.laid_by, layer.texture_um ] }.uniq
    level = placement(rubbed, "s2/1")
    assert_equal [ nil, nil, level.hands_end ], layers.map(&:smooth_at)
  end

  def test_the_strip_of_a_coat_goes_from_too_soon_to_open_to_what_is_left
    strip = sheet(plan(piece(document(coat("s1", coats: 2))))).section.layers.first.strip
    assert_equal [ [ "too_soon", false ], [ "open", true ] ],
                 strip.map { |stretch| [ stretch.state, stretch.over ] }
    assert_equal strip.each_cons(2).map { |one, two| two.from - one.to }, [ 0 ]
  end

  def test_a_missed_window_shows_shut_and_then_open_after_scuffing
    strip = sheet(plan(piece(document(coat("s1", coats: 2))), now: "2026-11-23T15:30+01:00")).section.layers.first.strip
    assert_equal %w[too_soon open shut scuffed], strip.map(&:state)
  end

  def test_the_drying_ledger_sums_to_the_clock
    sheet(
      plan(
        piece(document(coat("s1", coats: 3), step("s2", "rub_out", grits: [ "P800" ]))), t_c: 16, rh: 62
      )
    )
      .rows
      .filter_map(&:drying)
      .each do |ledger|
        assert_equal ledger.minutes, ledger.rows.sum(&:last)
        assert_equal ledger.minutes, ledger.reached_at - ledger.from
      end
  end

  def test_rows_carry_film_amounts_and_the_legal_range
    row = sheet(rubbed).rows[2]
    assert_equal "Coat 2 of 3", row.label
    assert_in_delta 30.6, row.change_um, 0.05
    assert_equal 143, row.laid_on_ml, "1 m² at 100 µm through a gun that lands 70 %"
    assert_operator row.earliest, :<=, row.hands_start
  end

  def test_a_film_that_never_dries_can_still_be_shown
    frozen = plan(
      piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2), step("s2", "look"))), t_c: 3
    )
    shown = sheet(frozen)
    assert_equal [ "Coat 1 of 2" ], shown.rows.map(&:label)
    assert_equal 1, shown.section.layers.size
    assert_nil shown.ready_at
    assert_nil shown.rows.first.drying
    assert_equal "stop", shown.findings.first.level
    assert_equal 1, Rhexon::Picture::Bench.new(frozen).upcoming.size
  end

  def test_a_film_that_dried_before_the_room_went_cold_is_explained_by_what_was_seen
    log = [
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-20T07:43+01:00" },
      {
        "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => "recoat_opens", "answer" => "dry",
        "at" => "2026-11-20T23:00+01:00"
      }
    ]
    shown = sheet(
      plan(piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2))), t_c: 3, log: log)
    )
    assert_equal [ [ "sheet", 960 ], [ "seen", -43 ] ], shown.rows.first.drying.rows
    assert_equal %w[coat scuff coat], shown.rows.map(&:kind)
  end

  def test_a_schedule_without_steps_has_an_empty_sheet
    shown = sheet(plan(piece(document)))
    assert_empty shown.rows
    assert_empty shown.findings
    assert_equal [ 0.0, [] ], [ shown.section.film_um, shown.section.layers ]
  end

  def test_the_bench_knows_what_is_next_drying_and_in_hand
    log = [
      { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T07:43+01:00" },
      { "kind" => "started", "pass" => "b/s1/1/show", "at" => "2026-11-23T07:58+01:00" }
    ]
    bench = Rhexon::Picture::Bench.new(
      plan(
        piece(document(coat("s1", coats: 2))),
        piece(document(step("s1", "sand", grits: [ "P150" ])), id: "b", area_m2: 5.0), log: log,
        now: "2026-11-23T08:00+01:00"
      )
    )
    assert_equal [ "b/s1/1/show" ], bench.running.map(&:key)
    assert_equal [ "top/s1/2/show" ], bench.upcoming.map(&:key)
    slab = bench.drying.first
    assert_equal [ "too_soon", at("2026-11-23T09:13+01:00"), at("2026-11-23T19:43+01:00"), "top/s1/2/show" ],
                 [ slab.state, slab.opens_at, slab.closes_at, slab.next_row.key ]
  end

  # Levelled at 08:00 the next day: open for a day, and what is asked is the next coat's question, not the paper's.
  def test_the_bench_shows_a_scuffed_film_open_for_a_day
    steps = document(coat("s1"), step("s2", "level", grits: [ "P320" ], aim: "between"), coat("s3"))
    log = [ [ "s1", "2026-11-23T15:43+01:00" ], [ "s2", "2026-11-24T08:00+01:00" ] ].map do |id, moment|
      { "kind" => "done", "pass" => "top/#{id}/1/show", "at" => moment }
    end
    slab = Rhexon::Picture::Bench.new(plan(piece(steps), log: log, now: "2026-11-24T09:00+01:00")).drying.first
    assert_equal [ "scuffed", at("2026-11-25T08:00+01:00"), "recoat_opens", "top/s3/1/show" ],
                 [ slab.state, slab.closes_at, slab.milestone, slab.next_row.key ]
  end

  def test_the_bench_calls_a_shut_film_shut_and_asks_for_the_scuff
    log = [ { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T15:43+01:00" } ]
    slab = Rhexon::Picture::Bench.new(
      plan(piece(document(coat("s1", coats: 2))), log: log, now: "2026-11-24T07:30+01:00")
    ).drying.first
    assert_equal [ "shut", "top/s1/2/show/scuff" ], [ slab.state, slab.next_row.key ]
  end
end
