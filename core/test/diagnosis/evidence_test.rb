require "test_helper"

# What is known of the hour of a coat, held against the likely causes of a fault on it.
class EvidenceTest < CoreTest
  DAY = "2026-11-23T".freeze
  Faults = Rhexon::Faults

  def said(kind, time, pass: "top/s1/1/show", **fields)
    { "kind" => kind, "pass" => pass, "at" => "#{DAY}#{time}+01:00", **fields.transform_keys(&:to_s) }
  end

  def made(*log, steps: [ coat("s1"), coat("s2") ], **fields)
    done = [ said("started", "08:00"), said("done", "08:30") ]
    plan(piece(document(*steps), **fields.slice(:wood)), log: done + log, now: "#{DAY}16:00+01:00",
**fields.except(:wood))
  end

  def evidence(plan, key = "s1/1", **more) = Rhexon::Diagnosis::Evidence.new(plan, placement(plan, key), **more)

  def causes(fault, plan, answers = {}, **more)
    Rhexon::Diagnosis::Ranking.new(Faults::Fault.find(fault), evidence(plan, **more), answers).causes
  end

  def test_every_cause_is_shown_by_what_there_is_or_asked_for
    causes = Faults::Fault.all.flat_map(&:shown)
    assert_empty causes.filter_map { |cause| cause["shown_by"] } - Rhexon::Diagnosis::Evidence::NAMES
    ordinary = made
    Rhexon::Diagnosis::Evidence::NAMES.each { |name|
      assert_includes [ true, false, nil ], evidence(ordinary).of(name).for, name
    }
    assert_equal causes.count { |cause| cause["shown_by"] || cause["asks"] }, causes.size
  end

  # An ordinary coat in ordinary air: nothing speaks for any cause but what the wood is.
  def test_an_ordinary_coat_is_not_accused
    ordinary = made
    for_it = Faults::Fault.all.flat_map { |fault|
      Rhexon::Diagnosis::Ranking.new(fault, evidence(ordinary)).causes.select { |cause|
        cause.told == "for"
      }.map(&:says)
    }
    assert_empty for_it
  end

  # Two old faces, neither sanded, each coated by a step of its own: one finding, and it speaks for both coats.
  def test_a_finding_that_stands_for_several_coats_speaks_for_each_of_them
    old = { "is" => "unknown", "coats" => 3, "state" => "sound" }
    faces = %w[show rail].map { |id| { "id" => id, "area_m2" => 1.0, "wood" => "closed", "found" => old } }
    plan = plan(piece(document(coat("s1", faces: [ "show" ]), coat("s2", faces: [ "rail" ]))).merge("faces" => faces))
    assert_equal 1, findings(plan, "bond.gloss_unsanded").size
    %w[s1/1 s2/1].each { |key| assert evidence(plan, key).of("unsanded").for, key }
  end

  def test_the_comb_speaks_for_runs_and_the_air_against_the_cold
    thick = causes("runs", made(said("measured", "08:10", comb_um: [ 130 ])))
    assert_equal [ "wet film above usual", "for", "130 µm wet by the comb, 100 are usual" ],
                 thick.first.to_h.values_at(:says, :told, :words)
    cold = thick.find { |cause| cause.says == "cold air" }
    assert_equal [ "against", "20 °C in the bench then, 15 °C and more is usual" ], [ cold.told, cold.words ]
    assert_equal "against", causes("runs", made).find { |one| one.says == "wet film above usual" }.told
  end

  def test_cold_damp_and_dry_air_are_told_with_their_figures
    assert_equal [ "for", "12 °C in the bench then, 15 °C and more is usual" ],
                 causes("runs", made(t_c: 12)).find { |one| one.says == "cold air" }.to_h.values_at(:told, :words)
    assert_equal "for", causes("orange_peel", made(t_c: 33, rh: 25)).find { |one| one.says == "hot dry air" }.told
    assert_equal "for", causes("soft", made(rh: 80)).find { |one| one.says == "cold or damp air" }.told
    surface = causes("runs", made, surface_c: 9).find { |one| one.says == "cold air" }
    assert_equal "for", surface.told, "the surface was colder than the air"
  end

  # Sprayed lacquer cools by 6 °C: at 20 °C to 14; at 75 % the dew point is 15.4 °C.
  def test_a_film_below_the_dew_point_blushes
    lacquer = [ coat("s1", product: "lacquer") ]
    blush = causes("blush", made(steps: lacquer, rh: 75)).first
    assert_equal [ "film below the dew point", "for" ], [ blush.says, blush.told ]
    assert_equal "the film cooled to 14 °C, the dew point was 15.4 °C", blush.words
    assert_equal "against", causes("blush", made(steps: lacquer, rh: 40)).find { |one| one.says == blush.says }.told
  end

  def test_what_was_weighed_speaks_of_the_ratio
    poured = { "name" => "H12", "parts" => 6.2, "range" => [ 8, 12 ] }
    wrong = causes("soft", made, poured: poured).find { |one| one.says == "wrong ratio" }
    assert_equal [ "for", "6.2 parts of H12 are in it, 8 to 12 are allowed" ], [ wrong.told, wrong.words ]
    right = causes("soft", made, poured: poured.merge("parts" => 10)).find { |one| one.says == "wrong ratio" }
    assert_equal "against", right.told
    assert_match(/hardener guessed/, causes("soft", made).find { |one| one.says == "wrong ratio" }.asks)
  end

  def test_sanding_in_the_room_speaks_for_dust
    other = piece(document(step("a1", "sand", grits: %w[P120])), id: "other")
    log = [ said("started", "08:00"), said("done", "08:30"),
            said("started", "08:20", pass: "other/a1/1/show"), said("done", "08:40", pass: "other/a1/1/show") ]
    both = plan(piece(document(coat("s1"))), other, log: log, now: "#{DAY}16:00+01:00")
    assert_equal [ "a dusty room", "for" ], causes("dust_nibs", both).first.to_h.values_at(:says, :told)
  end

  def test_at_most_three_questions_and_what_is_answered_moves_its_cause
    open = causes("dust_nibs", made)
    assert_equal 3, open.count(&:asks)
    answered = causes("dust_nibs", made, { "no filter" => true, "not strained" => false, "the moon" => true })
    assert_equal [ "no filter", "for" ], answered.first.to_h.values_at(:says, :told)
    assert_equal [ "not strained", "against" ], answered.last.to_h.values_at(:says, :told)
    assert_operator answered.count(&:asks), :<=, 1
    Faults::Fault.all.each { |fault|
      assert_operator Rhexon::Diagnosis::Ranking.new(fault, evidence(made)).causes.count(&:asks), :<=, 3
    }
  end

  def test_a_wait_cut_short_and_wool_under_water_are_told
    steps = [ coat("s1"), step("s2", "level", grits: %w[wool-0000], aim: "denib"), coat("s3") ]
    log = [ said("started", "08:31", pass: "top/s2/1/show"), said("done", "08:35", pass: "top/s2/1/show"),
            said("started", "08:40", pass: "top/s3/1/show"), said("done", "09:00", pass: "top/s3/1/show") ]
    rushed = made(*log, steps: steps)
    upper = Rhexon::Diagnosis::Ranking.new(Faults::Fault.find("wrinkle"), evidence(rushed, "s3/1")).causes.first
    assert_equal [ "green film below", "for" ], [ upper.says, upper.told ]
    assert_match(/min before what is below was ready/, upper.words)
    rust = Rhexon::Diagnosis::Ranking.new(Faults::Fault.find("rust_specks"), evidence(rushed, "s3/1")).causes.first
    assert_equal "for", rust.told
  end

  def of(fault, plan, key) = Rhexon::Diagnosis::Ranking.new(Faults::Fault.find(fault), evidence(plan, key)).causes

  # Checks do not speak of what is done; the diagnosis asks them of the same schedule as if nothing of it were.
  def test_what_the_schedule_had_wrong_is_seen_though_it_is_logged
    steps = [ step("s1", "sand", grits: %w[P80]), step("s2", "stain", product: "russet", method: "wipe"),
              coat("s3", method: "brush", wet_um: 90) ]
    log = %w[s1 s2 s3].zip(%w[08:00 09:00 11:00], %w[08:30 09:10 11:20]).flat_map { |id, from, to|
      [ said("started", from, pass: "top/#{id}/1/show"), said("done", to, pass: "top/#{id}/1/show") ]
    }
    done = plan(piece(document(*steps), wood: "closed").merge("wood" => "cherry"), log: log, now: "#{DAY}16:00+01:00")
    bleeding = of("bleeding", done, "s3/1").first
    assert_equal [ "dye that dissolves in this coat", "for" ], [ bleeding.says, bleeding.told ]
    blotch = of("blotch", done, "s2/1").select { |cause| cause.told == "for" }.map(&:says)
    assert_equal [ "the wood", "coarse last grit", "no washcoat" ].sort, blotch.sort
  end

  def test_lacquer_over_varnish_lifts_it
    steps = [ coat("s1", product: "varnish", method: "brush", wet_um: 85), coat("s2", product: "lacquer") ]
    log = [ said("started", "08:00"), said("done", "08:30"), said("started", "09:00", pass: "top/s2/1/show"),
            said("done", "09:20", pass: "top/s2/1/show") ]
    lifted = plan(piece(document(*steps)), log: log, now: "#{DAY}16:00+01:00")
    first = of("wrinkle", lifted, "s2/1").first
    assert_equal [ "strong solvent over a film that it lifts", "for" ], [ first.says, first.told ]
    assert_match(/Clear lacquer has strong solvents, and Bar varnish lies under it/, first.words)
  end

  def test_nobody_who_brushed_is_asked_of_a_gun
    brushed = made(steps: [ coat("s1", product: "varnish", method: "brush", wet_um: 85) ])
    rolled = made(steps: [ coat("s1", product: "varnish", method: "roller", wet_um: 80) ])
    says = ->(plan) { of("orange_peel", plan, "s1/1").map(&:says).grep(/gun|nap/) }
    assert_equal [ [], [ "nap too long, or pressed" ] ], [ says.(brushed), says.(rolled) ]
    assert_equal [ "spray" ], Faults::Fault.find("dry_spray").by
    assert_equal %w[brush_marks holidays uneven_sheen], Faults::Fault.all.map(&:id).grep(/brush|holidays|uneven/).sort
  end
end
