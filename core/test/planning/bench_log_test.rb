require "test_helper"

# What is taken down while a coat is laid on: alike pieces as they are finished, comb, pot, witness glass.
class BenchLogTest < CoreTest
  DAY = "2026-11-23T".freeze

  def said(kind, time, pass: "top/s1/1/show", **fields)
    { "kind" => kind, "pass" => pass, "at" => "#{DAY}#{time}+01:00", **fields.transform_keys(&:to_s) }
  end

  def varnished(*log, wet_um: 50, count: 1, now: "16:00", **fields)
    varnish = PRODUCTS.find { |one| one["id"] == "varnish" }.merge("density_g_per_ml" => 0.95)
    coats = document(coat("s1", product: "varnish", method: "brush", wet_um: wet_um),
                     coat("s2", product: "varnish", method: "brush", wet_um: wet_um))
    plan(piece(coats, count: count), log: log, now: "#{DAY}#{now}+01:00", products: [ varnish ], **fields)
  end

  def opens(plan) = plan.drier.reached_at(placement(plan, "s1/1"), "recoat_opens")

  # The film closes from the first of them and opens from the last; what is cleaned afterwards counts for neither.
  def test_the_first_and_the_last_of_alike_pieces_give_the_window
    ticks = { 1 => "08:10", 2 => "08:20", 3 => "08:30", 4 => "08:40" }.map { |nth, time| said("tick", time, nth: nth) }
    ticked = varnished(said("started", "08:00"), *ticks, said("done", "09:00"), count: 4)
    laid = placement(ticked, "s1/1")
    assert_equal [ "08:10", "08:40", "09:00" ].map { |time| at("#{DAY}#{time}+01:00") },
                 [ laid.first_end, laid.work_end, laid.hands_end ]
    plain = varnished(said("started", "08:00"), said("done", "09:00"), count: 4)
    # 5 min of set-up, and 55 for the four of them.
    assert_equal at("#{DAY}08:19+01:00"), placement(plain, "s1/1").first_end
    assert_equal 20, opens(plain) - opens(ticked)
  end

  # Hands begin with the set-up, 5 min for a brush; a start that is noted at the first stroke has it behind.
  def test_the_start_is_the_set_up_or_the_first_stroke
    begun = ->(*log, **more) {
      placement(varnished(*log, **more), "s1/1").then { |one|
        [ one.hands_start, one.work_start ]
      }
    }
    at_eight, after = [ "08:00", "08:05" ].map { |time| at("#{DAY}#{time}+01:00") }
    assert_equal [ at_eight, after ], begun.(said("started", "08:00"), said("done", "08:30"))
    assert_equal [ at_eight, after ], begun.(said("started", "08:00", from: "set_up"), now: "08:10")
    assert_equal [ at_eight, at_eight ], begun.(said("started", "08:00", from: "stroke"), said("done", "08:30"))
    quick = begun.(said("started", "08:00"), said("done", "08:03"))
    assert_equal [ at_eight, at("#{DAY}08:03+01:00") ], quick, "not after it was done"
    first = begun.(said("started", "08:00"), said("tick", "08:02", nth: 1), said("done", "08:30"), count: 4)
    assert_equal at("#{DAY}08:02+01:00"), first.last, "not after the first piece was ready"
  end

  def test_pieces_that_were_not_ticked_may_be_the_last
    some = varnished(said("started", "08:00"), said("tick", "08:10", nth: 2), said("done", "09:00"), count: 4)
    laid = placement(some, "s1/1")
    assert_equal [ at("#{DAY}08:10+01:00"), at("#{DAY}09:00+01:00") ], [ laid.first_end, laid.work_end ]
  end

  # Two of four took 20 min each: the other two take as long, and the brush is cleaned.
  def test_work_in_hand_ends_as_fast_as_its_pieces_go
    log = [ said("started", "08:00"), said("tick", "08:20", nth: 1), said("tick", "08:40", nth: 2) ]
    running = placement(varnished(*log, count: 4, now: "08:40"), "s1/1")
    assert_equal "running", running.status
    assert_equal at("#{DAY}09:20+01:00") + running.pass.cleanup_min, running.hands_end
  end

  def test_a_piece_is_ticked_once
    log = [ said("started", "08:00"), said("tick", "08:20", nth: 1), said("tick", "08:50", nth: 1) ]
    facts = Rhexon::Planning::PassLog.fold(log)
    assert_equal({ 1 => at("#{DAY}08:20+01:00") }, facts.fetch("top/s1/1/show").ticks)
  end

  # Oxidative: (w/ws) · (max(w, 40) / max(ws, 40))^0.5, so that 120 µm instead of 100 take 1.2^1.5 = 1.3145 times as
  # long.
  def test_the_comb_says_what_really_dries
    done = [ said("started", "08:00"), said("done", "09:00") ]
    written = varnished(*done, wet_um: 100)
    combed = varnished(*done, said("measured", "08:30", comb_um: [ 115, 125 ]), wet_um: 100)
    assert_equal 120, placement(combed, "s1/1").pass.wet_um
    as_written, as_combed = [ written, combed ].map { |plan| opens(plan) - placement(plan, "s1/1").work_end }
    assert_in_delta 1.3145, as_combed / as_written.to_f, 0.01
    rows = [ written, combed ].map { |plan| Rhexon::Picture::Sheet.new(plan, "top").rows.first }
    assert_in_delta 120 / 100.0, rows.last.change_um / rows.first.change_um, 0.01,
                    "what the wood drinks is a share of it"
    assert_equal({ comb_um: [ 115, 125 ] }, rows.last.measured)
  end

  # 55 g of 0.95 g/ml on 1 m², 0.95 of it landed: 55 µm.
  def test_the_pot_says_it_where_no_comb_does
    done = [ said("started", "08:00"), said("done", "09:00"), said("measured", "09:05", pot_g: [ 800, 745 ]) ]
    assert_in_delta 55, placement(varnished(*done), "s1/1").pass.wet_um, 1e-9
    both = varnished(*done, said("measured", "09:06", comb_um: [ 60 ]))
    assert_in_delta 60, placement(both, "s1/1").pass.wet_um, 1e-9
  end

  def test_a_slip_of_the_pen_is_not_believed
    [ { comb_um: [ 600 ] }, { pot_g: [ 745, 800 ] }, { pot_g: [ 800, 800 ] } ].each do |slip|
      log = [ said("started", "08:00"), said("measured", "08:30", **slip), said("done", "09:00") ]
      assert_equal 50, placement(varnished(*log), "s1/1").pass.wet_um, slip.to_s
    end
  end

  # 60 µm by the comb of 0.95 g/ml on 1 m² are 57 g; 80 g left the pot: 0.7125 landed, of 0.95 that are taken
  # otherwise: ln 0.75.
  def test_comb_and_pot_of_one_coat_say_what_landed
    log = [ said("started", "08:00"), said("done", "09:00"),
            said("measured", "08:30", comb_um: [ 60 ], pot_g: [ 800, 720 ]) ]
    shop = varnished(*log).shop
    found = Rhexon::Planning::Transfer.observations(shop)
    assert_equal [ "brush" ], found.map(&:way)
    assert_in_delta 0.7125, found.first.own, 1e-9
    assert_in_delta Math.log(0.75), found.first.x, 1e-9
    # m = ln 0.75 · 16 / (8.163 + 16)
    assert_in_delta(-0.1905, Rhexon::Planning::OwnShare.taught(found).first["m"], 1e-3)
  end

  # 50 µm on 1 m² are 50 ml; 0.95 landed: 52.6 ml, and of three quarters of that 70.2 ml.
  def test_plans_lay_on_what_the_shops_own_gun_needs
    own = [ { "way" => "brush", "m" => Math.log(0.75), "s" => 0.1, "times" => 3 } ]
    laid = [ varnished, varnished(transfer: own), varnished(transfer: [ own.first.merge("times" => 2) ]) ].map do |plan|
      Rhexon::Mixing::Laying.of_pass(placement(plan, "s1/1").pass).laid_ml
    end
    assert_in_delta 52.63, laid[0], 0.01
    assert_in_delta 70.18, laid[1], 0.01
    assert_in_delta laid[0], laid[2], 1e-9, "two coats are no gun"
    assert_equal "spray/turbine", Rhexon::Planning::Transfer.way("spray", nil)
  end

  def test_no_more_lands_than_leaves_the_pot
    generous = [ { "way" => "brush", "m" => 0.5, "s" => 0.1, "times" => 9 } ]
    pass = placement(varnished(transfer: generous), "s1/1").pass
    assert_in_delta 1.0, Rhexon::Mixing::Laying.of_pass(pass).transfer_efficiency, 1e-12
  end

  # 100 µm by the gauge, and 88 after levelling with P320: the gauge says 12 where the sheet takes so many.
  def test_two_readings_of_the_gauge_say_what_was_rubbed_off
    gauge = ->(id) { step(id, "measure", way: "film") }
    steps = [ coat("s1", product: "varnish", method: "brush", wet_um: 100, coats: 3), gauge.("s2"),
              step("s3", "level", grits: %w[P320], aim: "between"), gauge.("s4") ]
    log = [ *1..3 ].flat_map { |number| [ said("done", "0#{number}:00", pass: "top/s1/#{number}/show") ] } +
      [ said("done", "09:00", pass: "top/s2/1/show", readings: [ 98, 102 ]),
        said("started", "09:10", pass: "top/s3/1/show"), said("done", "09:30", pass: "top/s3/1/show"),
        said("done", "09:40", pass: "top/s4/1/show", readings: [ 88 ]) ]
    made = plan(piece(document(*steps)), log: log, now: "#{DAY}16:00+01:00")
    found = Rhexon::Planning::RubbedOff.observations(made.shop)
    assert_equal [ [ "level/between", 12.0 ] ], found.map { |one| [ one.way, one.own ] }
    taken = made.film("top", "show").at("top/s3/1/show").removed_um
    assert_in_delta Math.log(12 / taken), found.first.x, 1e-9
    own = [ { "way" => "level/between", "m" => Math.log(12 / taken), "s" => 0.1, "times" => 3 } ]
    again = plan(piece(document(*steps)), log: log, now: "#{DAY}16:00+01:00", abrasion: own)
    assert_in_delta 12, again.film("top", "show").at("top/s3/1/show").removed_um, 1e-9
    assert_in_delta found.first.x, Rhexon::Planning::RubbedOff.observations(again.shop).first.x, 1e-9, "not twice"
  end

  def test_other_work_between_two_gauges_says_nothing_of_one
    gauge = ->(id) { step(id, "measure", way: "film") }
    steps = [ coat("s1", product: "varnish", method: "brush", wet_um: 100), gauge.("s2"),
              step("s3", "level", grits: %w[P320], aim: "between"), coat("s4", product: "varnish", method: "brush"),
              gauge.("s5") ]
    log = %w[s1 s2 s3 s4 s5].each_with_index.map do |id, index|
      said("done", "0#{index + 1}:00", pass: "top/#{id}/1/show",
**({ readings: [ 90 - index ] } if %w[s2 s5].include?(id)).to_h)
    end
    made = plan(piece(document(*steps)), log: log, now: "#{DAY}16:00+01:00")
    assert_empty Rhexon::Planning::RubbedOff.observations(made.shop)
  end

  # Forty coats whose gun lands 0.8 of what is taken, read to 0.1 by comb and scale: within five of a hundred.
  def test_forty_coats_find_the_true_gun
    random = Random.new(7)
    belief = (1..40).reduce(Rhexon::Drying::Belief.new(0.0, Rhexon::Drying::Belief::FIRST_SD, 0)) do |known, _|
      noise = 0.1 * Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
      known.exactly(Math.log(0.8) + noise)
    end
    assert_in_delta 0.8, Math.exp(belief.m), 0.04
  end

  # A drop on glass is thicker than the film: that it is dry proves the film, and says nothing of how fast it was.
  def test_the_witness_glass_is_a_test_of_its_own
    done = [ said("started", "08:00"), said("done", "09:00") ]
    glass = said("dry_test", "12:00", milestone: "recoat_opens", answer: "dry", by: "glass")
    proved = varnished(*done, glass)
    assert_equal at("#{DAY}12:00+01:00"), opens(proved)
    assert_empty Rhexon::Planning::Learning.observations(proved.shop)
    film = varnished(*done, glass.merge("by" => "film"))
    assert_equal 1, Rhexon::Planning::Learning.observations(film.shop).size
  end
end
