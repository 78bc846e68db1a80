require "test_helper"

# Whole jobs of core/examples/jobs.json, each alone in the shop: its dates, film, sheen, pores and amounts by hand. One
# pair of hands, Mon to Fri 7:30 to 16:30, 20 °C and 50 % all the time, figures of the class defaults.
class JobsTest < CoreTest
  SHOP = JSON.parse(File.read(File.expand_path("../../examples/jobs.json", __dir__)))

  def job(id)
    record = SHOP["pieces"].find { |piece| piece["id"] == id }
    @plan = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(SHOP.merge("pieces" => [ record ])))
    @sheet = Rhexon::Picture::Sheet.new(@plan, id)
    @plan
  end

  def film(id, face) = @plan.film(id, face).final
  def ready(id) = @plan.shop.zone.iso(@plan.build.ready[id])[0, 16]
  def levels = @sheet.findings.map(&:level)
  def by_day(step)
    @plan.placements.select { |one| one.pass.step["id"] == step && !one.pass.inserted }
      .group_by { |one| @plan.shop.zone.date(one.work_start) }.transform_values(&:size)
  end

  def pass(tail) = @plan.placements.find { |found| found.pass.key.end_with?(tail) }
  def starts(tail) = @plan.shop.zone.iso(pass(tail).work_start)[0, 16]

  def test_every_job_is_planned_checked_and_drawn_and_none_is_stopped
    SHOP["pieces"].each do |record|
      job(record["id"])
      assert_empty @plan.build.blocked, record["id"]
      assert_empty levels - [ "note" ], record["id"]
      refute_empty @sheet.rows
      assert_operator @sheet.section.layers.size + @sheet.section.stains.size, :>, 0
    end
  end

  # Primed by somebody else: 120 · 40 % = 48, less a scuff of 2; of the second coat of 100 · 32 % MDF keeps 0.95, then
  # all.
  # Back: 46 + 30.4. Front: 46 + 30.4 + 32, a denib of 0.5, + 32. The tape comes off 30 min after the last coat.
  def test_sprayed_doors
    job("doors")
    assert_in_delta 46 + 30.4 + 32 - 0.5 + 32, film("doors", "front").total_um, 1e-6
    assert_in_delta 46 + 30.4, film("doors", "back").total_um, 1e-6
    assert_in_delta 30, film("doors", "front").sheen_gu, 0.01
    assert_equal %w[s4/1/front s4/1/back s4/2/front], @plan.of_piece("doors").map { |one|
      one.pass.key[6..]
    }.grep(/\As4/)
    tape = @plan.of_piece("doors").last(2).first
    assert_equal "unmask", tape.pass.kind
    assert_operator tape.work_start, :>=, pass("s6/1/front").work_end + 30
    assert_equal 1, @sheet.findings.count { |finding| finding.id == "mask.tears" }, "over night, so that it is scored"
  end

  # Slurry twice: 72 %, 92 %. Oil five times, 36 h between: each on the next morning but one, no film.
  # Rubbed in by drops from the second on: 0.12 m² · 5 µm · 20 / ml + 15 % = 14.
  def test_oil_rubbed_into_walnut
    job("box")
    final = film("box", "outside")
    assert_predicate final, :bare?
    assert_in_delta 1 - 0.2775**2, final.pores_filled, 1e-6
    assert_equal [ "closed", 12, "settled" ], [ final.pores, final.sheen_gu, final.grain ]
    rubbed = Rhexon::Mixing::Laying.of_pass(pass("s6/2/outside").pass)
    assert_equal 14, Rhexon::Mixing::Drops.count(rubbed.laid_ml)
    assert_equal %w[2026-11-27 2026-11-30 2026-12-02 2026-12-04 2026-12-07],
                 (1..5).map { |round| starts("s6/#{round}/outside")[0, 10] }
  end

  # Thirty pads of 12 · 18 % = 2.16: 64.8 less 0.45 and 0.1 of one. Six a day: the last on the fifth day, 7 d to rub
  # out.
  # P1000 4 + 3 off a padded texture, P2000 10.3 / 46.2 · 5 = 1.115, two compounds 0.5 each. 85 + 3 GU.
  def test_a_padded_spirit_finish_to_high_gloss
    job("cabinet")
    final = film("cabinet", "door")
    assert_in_delta 30 * 2.16 - 2.16 * 0.55 - 7 - 1.115 - 1.0, final.total_um, 0.001
    assert_equal [ 88.0, "high gloss" ], [ final.sheen_gu, Rhexon::Prep::Sheen.name(final.sheen_gu) ]
    assert_equal [ 6 ] * 5, by_day("s2").values
    assert_equal "2026-11-27", starts("s2/30/door")[0, 10]
    assert_equal "2026-12-07", starts("s3/1/door")[0, 10], "7 d after Friday's coats is Friday evening: Monday"
    assert_equal "2026-12-08", starts("s4/1/door")[0, 10], "what was rubbed wet rests a day"
  end

  # Stripped, a day until the stripper is dry, washed; seal 70 · 18 % as the fourth coat on that wood, so all of it
  # stays: 12.6, denibbed 0.5; wiped 12 · 28 % = 3.36 six times, a scuff of 0.8 where the weekend shut the window.
  def test_old_chairs
    job("chairs")
    final = film("chairs", "frame")
    assert_in_delta 12.6 - 0.5 + 6 * 3.36 - 0.8, final.total_um, 0.001
    assert_equal "2026-11-24", starts("s3/1/frame")[0, 10]
    refute_nil final.clear_over_colour, "colour is left in the pores"
    assert_equal [ "stripper", nil ], %w[s2/1/frame s3/1/frame].map { |tail|
      @plan.film("chairs", "frame").moment("chairs/#{tail}").after.residue
    }
    assert_equal 6 * 3, pass("s5/1/frame").pass.each_min, "six spots at three minutes, not a face"
  end

  # Oak open: wiped 3.36 · (0.4 + 0.75 + 11) less a scuff of 0.8; brushed 40.8 · (0.4 + 0.75 + 1). The one pressed in,
  # the other bridging 0.4 of it.
  def test_wiped_against_brushed
    job("top_wiped")
    wiped = film("top_wiped", "top")
    assert_in_delta 3.36 * 12.15 - 0.8, wiped.total_um, 0.001
    assert_in_delta 3.36 * 12.15 / 200, wiped.pores_filled, 1e-6
    days = by_day("s2").size
    job("top_brushed")
    brushed = film("top_brushed", "top")
    assert_in_delta 40.8 * 2.15, brushed.total_um, 0.001
    assert_in_delta 0.4 * 40.8 * 2.15 / 200, brushed.pores_filled, 1e-6
    assert_equal [ 7, 3 ], [ days, by_day("s2").size ]
  end

  # Epoxy 150 · (0.4 + 0.75), P220 flattens 68 / 46.2 · 5 = 7.36; varnish 40.8 three times, a scuff of 2, once more.
  def test_outdoor_varnish_over_epoxy
    job("tiller")
    assert_in_delta 150 * 1.15 - 5 * 68 / 46.2 + 4 * 40.8 - 2, film("tiller", "round").total_um, 0.001
    assert_equal "closed", film("tiller", "round").pores
    assert_equal 30 * 1440, @plan.build.ready["tiller"] - pass("s7/1/round").work_end, "cured after 30 days"
  end

  # 36 m² by floor machine at 15 m² an hour, 24.6 m of wall and four corners: 224 min a grit. Bay by bay, the last at
  # the door; 3 coats of 34 over a seal of 13.6, a scuff with P220 of 2 · 68 / 46.2 by machine twice that; a sealer that
  # was sanded lets all of the next stay.
  def test_a_floor_bay_by_bay
    job("hall")
    assert_equal [ 448, 224 ], %w[s1/1/window+middle+door s3/1/window+middle+door].map { |tail|
      pass(tail).pass.each_min
    }
    assert_equal %w[window middle door], @plan.of_piece("hall").select { |one| one.pass.step["id"] == "s5" }
                                              .flat_map { |one| one.pass.faces }
    assert_in_delta 34 * 0.4 - 2 * 2 * 68 / 46.2 + 34 * 3, film("hall", "door").total_um, 0.001
  end

  # Open 3 min, 0.7 · 60 · 0.05 / 0.25 = 8.4 m: the hall of 12 m in two halves of 30 m², the landing by the stair last.
  # One coat of 64.5 m² at 100 µm is 6.45 l, at 60 m²/h 64.5 min, and 43 m of wall cut in 21.5.
  def test_a_floor_from_its_sketch
    job("landing")
    row = Rhexon::Picture::Sheet.new(@plan, "landing").rows.find { |one| one.kind == "coat" }
    sections = row.floor.sections.all
    assert_in_delta 8.4, row.floor.limit_m, 1e-6
    assert_equal [ 30.0, 30.0, 4.5 ], sections.map(&:area_m2)
    assert_equal [ 0, 0, 1 ], sections.map(&:of)
    assert_operator sections[0].rectangle.x, :<, sections[1].rectangle.x, "away from the stair first"
    assert_equal 86, row.placement.pass.each_min
    assert_in_delta 6.45 / 0.95 * 1.1 * 1000, row.floor.sections.ml, 1
  end

  # Lacquer of 20 %: 20 · (0.55 + 0.9) and 5 · 0.98 less its colourant, glaze 8 · 35 % · 0.92 between, shellac of 18 %
  # that keeps the lacquer off it, two coats of 20.
  def test_glaze_and_toner_between_films
    job("arch")
    film = film("arch", "front")
    wanted = [ 11, 18, 8 * 0.35 * 0.92, 80 * 0.18, 25 * 0.2 * 0.98, 20, 20 ]
    wanted.zip(film.layers.map(&:um)).each { |one, other| assert_in_delta one, other, 0.05 }
    assert_equal [ false, false, true, false, true, false, false ], film.layers.map(&:coloured)
    assert_in_delta 40, film.clear_over_colour[:face_um], 0.01
    glaze = @plan.batches.find { |batch| batch.product.id == "glaze" }.sheet.pours
    assert_in_delta 0.08, glaze.last.g / glaze.sum(&:g), 1e-4
    stages = Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.for_species("lime"), @plan.piece("arch").schedule["steps"],
                                       @plan.shop.products).stages
    before, after = stages.values_at(2, 3).map { |stage| stage.look.lab[0] }
    assert_operator after, :<, before, "it veils what is below"
  end

  # 12.6 · (0.55 + 0.9 + 1 + 1), 1 off by wool; 7 d to rub out; 25 GU, and wax on it.
  def test_wax_over_shellac
    job("casket")
    final = film("casket", "outside")
    assert_in_delta 12.6 * 3.45 - 1, final.total_um, 0.001
    assert_equal [ 25.0, "wax" ], [ final.sheen_gu, final.residue ]
    assert_equal "2026-12-01", starts("s3/1/outside")[0, 10], "a week after Monday's coats is Monday evening"
  end
end
