require "test_helper"

# The state of a face through its schedule, by hand.
class SurfaceTest < CoreTest
  GLOSS = { "id" => "gloss", "name" => "Gloss lacquer", "class" => "nitro_lacquer", "sheen_gu" => 85 }.freeze
  MORE = [
    GLOSS, { "id" => "filler", "class" => "paste_filler_oil", "role" => "pore filler" },
    { "id" => "oil", "class" => "siccative_oil", "sheen_gu" => 12 }, { "id" => "wax", "class" => "wax" }
  ].freeze

  def course(*steps, **fields)
    plan(piece(document(*steps), **fields), products: PRODUCTS + MORE, rooms: rooms).film("top", "show")
  end

  def rooms = [ { "id" => "bench", "climate" => [ { "t_c" => 20, "rh" => 50, "air" => "ordinary" } ] } ]
  def after(*steps, **fields) = course(*steps, **fields).final
  def gloss(id, coats = 1) = coat(id, product: "gloss", wet_um: 100, coats: coats)

  # P1200 20; the scratch of 15.3 µm under the compounds lets 60 + 18 ln(18.3 / 15.3) / ln(18.3 / 12.6) = 68.6 through,
  # where P2000 lets 88, so that the fine compound's own 85 is there; 3 more for the glaze.
  def test_sheen_follows_every_rung
    rubbed = course(gloss("s1", 6), step("s2", "rub_out", grits: %w[P800 P1200]),
                    step("s3", "polish", grits: %w[compound-medium compound-fine finishing-glaze]))
    assert_equal [ 65, 20, 72 ], rubbed.course.map { |moment| moment.after.sheen_gu.round }.then { |all|
      [ all.first, *all.last(2) ]
    }
    finer = after(gloss("s1", 6), step("s2", "rub_out", grits: %w[P800 P1200 P2000]),
                  step("s3", "polish", grits: %w[compound-medium compound-fine finishing-glaze]))
    assert_equal 88, finer.sheen_gu.round
    assert_in_delta 1, rubbed.final.scratch_um
    satin = after(coat("s1", coats: 3), step("s2", "rub_out", grits: %w[P1000 P2000]))
    assert_equal [ 42.0, true ], [ satin.sheen_gu, satin.hazy ], "W20 is of 28 GU: hazy from 33 on"
  end

  # 12 µm texture + 3 at P800, then P1200 15.3 / 46.2 · 5 = 1.656; each compound 0.5.
  def test_film_through_a_rub_out_and_a_polish
    walk = course(gloss("s1", 4), step("s2", "rub_out", grits: %w[P800 P1200]),
                  step("s3", "polish", grits: %w[compound-medium compound-fine]))
    laid = 20 * (0.55 + 0.9 + 1 + 1)
    assert_in_delta laid - 15 - 1.656 - 1.0, walk.final.total_um, 0.001
    assert_equal 0, walk.final.texture_um
  end

  # Wool and pads leave a texture standing: 0000 takes 1 µm.
  def test_wool_does_not_level
    rubbed = after(gloss("s1", 4), step("s2", "rub_out", grits: [ "wool-0000" ]))
    assert_equal [ 69 - 1.0, 12.0, 25.0 ], [ rubbed.total_um.round(6), rubbed.texture_um, rubbed.sheen_gu ]
  end

  # 200 µm of pore: a filler fills 0.85 of what is open and loses 15 % of that; cut back to the wood they stay full.
  def test_a_build_is_cut_back_and_the_pores_stay
    built = after(step("s1", "fill", product: "filler", method: "wipe"), gloss("s2", 3),
                  step("s3", "level", grits: [ "P320" ], aim: "cut_back"), wood: "open")
    dry = 20 * (0.40 + 0.75 + 1)
    assert_predicate built, :bare?
    assert_nil built.sheen_gu
    assert_in_delta 200 * 0.7225 + 0.4 * dry, built.pores_um, 1e-6
    assert_in_delta 46.2, built.scratch_um
  end

  def test_a_slurry_fills_pores_and_builds_nothing
    filled = after(*%w[s1 s2].map { |id| step(id, "fill", product: "varnish", method: "wipe", way: "slurry") },
                   wood: "open")
    assert_predicate filled, :bare?
    assert_in_delta 1 - (1 - 0.7225)**2, filled.pores_filled, 1e-9
  end

  def test_oil_builds_no_film_and_the_next_coat_finds_the_wood_fed
    oiled = course(step("s1", "oil", product: "oil", method: "wipe", coats: 3), gloss("s2"))
    assert_equal [ 0.0, 20.0 ], oiled.course.map { |moment| moment.after.total_um.round(3) }.values_at(2, 3)
    assert_equal 12, oiled.course[2].after.sheen_gu
  end

  def test_stripping_leaves_bare_wood_that_is_washed
    stripped = course(gloss("s1", 2), step("s2", "strip", way: "stripper"), step("s3", "clean", way: "wash"),
                      step("s4", "sand", grits: %w[P120 P180]))
    states = stripped.course.last(3).map { |moment| moment.after.to_h.values_at(:residue, :grain, :scratch_um) }
    assert_equal [ [ "stripper", nil, nil ], [ nil, "standing", nil ], [ nil, "settled", 82 ] ], states
    assert_predicate stripped.final, :bare?
    assert_equal 2, stripped.final.coats_laid, "what it was once coated with is not forgotten"
  end

  def test_residue_is_taken_by_what_takes_it
    residue = ->(*steps) { after(gloss("s1", 3), *steps).residue }
    oiled = step("s2", "rub_out", grits: [ "P1200" ], lubricant: "oil")
    assert_equal "oil", residue.(oiled)
    assert_nil residue.(oiled, step("s3", "clean", way: "solvent_wipe"))
    assert_equal "oil", residue.(oiled, step("s3", "clean", way: "vacuum"))
    assert_equal "wax", residue.(step("s2", "wax", product: "wax", method: "wipe"))
  end

  # Every kind says what it is and asks for finite hands, or none.
  def test_every_kind_has_its_words_and_phase
    Rhexon::Work::Kind.all.each do |id, work|
      assert_match(/\A[A-Z][a-z ]+\z/, work.name, id)
      assert_includes %w[prepare colour fill seal build level rub_out cure look wait], work.phase({}), id
    end
    assert_equal Rhexon::Schedule::Kinds.all.sort, Rhexon::Work::Kind.all.keys.sort - %w[remask scuff wipe_off]
  end

  # The wax is dry in a day; the film under it goes on hardening: 14 d from its last coat.
  def test_a_waxed_film_is_cured_when_the_film_is
    made = plan(piece(document(coat("s1", coats: 2), step("s2", "wax", product: "wax", method: "wipe"))),
                products: PRODUCTS + MORE)
    assert_equal made.reached_at("top", "full_cure"),
                 made.drier.reached_at(placement(made, "s1/2"), "full_cure")
    assert_operator made.reached_at("top", "full_cure") - placement(made, "s1/2").work_end, :>=, 14 * 1440
    assert_empty made.build.scuffs
  end

  def test_steps_say_how_they_are_done
    say = ->(kind, **fields) { Rhexon::Schedule::Words.step(step("s1", kind, **fields)) }
    assert_equal "Putty, 6 spots of 1.5 cm²", say.("mend", way: "putty", spots: 6, spot_cm2: 1.5)
    assert_equal "Polish with pumice on felt", say.("polish", grits: [ "pumice" ], polish_on: "felt")
    assert_equal "Wipe with solvent", say.("clean", way: "solvent_wipe")
  end

  # A removal that is stated is of the whole ladder; papers by themselves take 12 + 3 and 1.98 by reckoning.
  def test_rungs_share_what_they_take
    rungs = ->(**fields) {
      made = plan(piece(document(gloss("s1", 5), step("s2", "rub_out", grits: %w[P600 P1000], **fields))),
                  products: PRODUCTS + MORE)
      Rhexon::Picture::Sheet.new(made, "top").rows.last.rungs.map(&:takes_um)
    }
    assert_equal [ 15.0, 1.98 ], rungs.()
    assert_equal [ 6.0, 0.0 ], rungs.(removes_um: 6)
  end
end
