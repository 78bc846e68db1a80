require "test_helper"

# A sketched floor: how far an edge stays wet, its sections, cans, hands; and its coats in a plan.
class FloorTest < CoreTest
  HALL = {
    "parts" => [ [ 0, 0, 8, 5 ], [ 8, 2, 3, 1.5 ] ], "exit" => [ 11, 2.75 ], "tool" => "roller", "strips" => "along"
  }.freeze
  CLEAR = {
    "id" => "f40", "name" => "F40", "class" => "waterborne_one_part", "open_time_min" => 12,
    "wet_um" => { "roller" => 100 }, "packs" => [ { "ml" => 2500, "price" => 60 }, { "ml" => 1000, "price" => 30 } ]
  }.freeze

  def product(**fields) = Rhexon::Materials::Product.read(CLEAR.merge(fields.transform_keys(&:to_s)))
  def air(t_c, rh) = Rhexon::Drying::Climate.new(t_c: t_c, rh: rh, air: "ordinary")

  def floor(sketch = HALL, product: self.product, climate: air(20, 50), **options)
    Rhexon::Areas::Floor.new(sketch, product: product, climate: climate, wet_um: 100, **options)
  end

  # 0.7 · 60 m²/h · 0.2 h / 0.25 m = 33.6 m: a section for each part; the corridor by the exit comes last.
  def test_an_edge_stays_wet_as_far_as_hands_rate_and_strip_say
    assert_in_delta 33.6, floor.limit_m, 1e-6
    assert_equal [ 40.0, 4.5 ], floor.sections.all.map(&:area_m2)
  end

  # 44.5 m² · 100 µm = 4.45 l, over 0.95 and with the margin; the corridor is laid on from the last 2.5 l can.
  def test_cans_serve_sections_in_their_turn
    ml = Rhexon::Mixing::Laying.for_area(area_m2: 44.5, wet_um: 100, method: "roller", left_behind_ml: 0).gross_ml
    assert_in_delta ml, floor.sections.ml, 1e-6
    cans = floor.cans
    assert_equal (ml / 2500).ceil, cans.size
    assert_equal [ 1 ], cans.first.sections
    assert_equal 2, cans.last.sections.last
    assert_empty floor(product: product(packs: [])).cans
  end

  def test_in_hot_dry_air_sections_are_shorter_and_may_be_none
    dry = floor(climate: air(34, 20), product: product(open_time_min: 3))
    assert_operator dry.limit_m, :<, 5
    assert_operator dry.sections.all.size, :>, 2
    refute_predicate floor(HALL.merge("tool" => "applicator"), product: product(open_time_min: 0.2), rate_m2_per_h: 10),
                     :keeps_wet?
  end

  def test_a_sketch_is_refused_with_what_is_wrong
    {
      HALL.merge("parts" => []) => /1 to 40 parts/, HALL.merge("exit" => [ 1 ]) => /a place in the sketch/,
      HALL.merge("tool" => "mop") => /no tool for a large area/, HALL.merge("strips" => "z") => /Strips run/,
      HALL.merge("parts" => [ [ 0, 0, 4, 4 ], [ 2, 2, 4, 4 ] ]) => /lie over each other/
    }.each { |sketch, sentence| assert_match(sentence, refusal { Rhexon::Areas::Floor.check!(sketch) }.message) }
  end

  def plan(tool: "roller", **fields)
    steps = document(
      step("s1", "sand", grits: %w[P80 P120], machine: true),
      step("s2", "coat", product: "f40", method: "roller", wet_um: 100, coats: 2, role: "top")
    ).merge("support" => "fixed")
    record = piece(steps, area_m2: 44.5, wood: "open").merge("use" => "floor", "sketch" => HALL.merge("tool" => tool))
    Rhexon::Search::Planner.plan(
      Rhexon::Planning::Shop.new(shop_json(record, products: [ CLEAR.merge(fields.transform_keys(&:to_s)) ]))
    )
  end

  def coats(plan) = plan.placements.select { |placement| placement.pass.film? }

  # 44.5 m² at 60 m²/h with the roller 44.5 min, at 90 m²/h with the applicator 29.7, and 35 m of wall cut in at 120 m
  # an hour: 17.5.
  def test_its_coats_are_planned_at_the_rate_of_the_tool
    assert_equal [ 62, 48 ], %w[roller applicator].map { |tool| coats(plan(tool: tool)).first.pass.each_min }
  end

  def test_its_rows_say_how_it_is_laid_on_and_when_air_may_move
    sheet = Rhexon::Picture::Sheet.new(plan, "top")
    row = sheet.rows.find { |one| one.placement.pass.film? }
    assert_match(/in 2 sections, edge at most 33.6 m, the last at the exit/, row.pattern)
    touch = row.placement.milestones["touch"].minutes
    assert_in_delta row.placement.work_end + touch, row.air_on_at, 1
    assert_nil sheet.rows.first.floor
  end

  def test_what_dries_too_fast_for_any_edge_is_told
    fast = plan(tool: "roller", open_time_min: 0.1)
    ids = Rhexon::Checks::Catalogue.findings(fast, "top").map(&:id)
    assert_includes ids, "time.wet_edge"
    refute_includes Rhexon::Checks::Catalogue.findings(plan, "top").map(&:id), "time.wet_edge"
  end
end
