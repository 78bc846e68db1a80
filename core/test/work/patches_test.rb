require "test_helper"

# A spot of finish: what it is mended with dries by its own sheet, and it comes level in so many layers.
class PatchesTest < CoreTest
  TOP = { "id" => "hs", "name" => "High solids gloss", "class" => "waterborne_one_part", "solids_volume_percent" => 40,
          "wet_um" => { "brush" => 60 }, "sheen_gu" => 90, "source" => "sheet",
          "milestones_min" => { "touch" => 30, "recoat_opens" => 120, "sand" => 180, "rub_out" => 7200 } }.freeze
  PUTTY = { "id" => "put", "name" => "Water putty", "class" => "waterborne_filler", "role" => "putty",
            "milestones_min" => { "sand" => 45 } }.freeze

  def mended(*steps, found: nil, **fields)
    record = piece(document(*steps), **fields)
    record["faces"].first["found"] = found if found
    plan(record, products: PRODUCTS + [ TOP, PUTTY ])
  end

  def patch(**fields) = step("m", "mend", way: "patch", spots: 1, spot_cm2: 60, product: "hs", **fields)
  def sound = { "is" => "coated", "product" => "hs", "coats" => 5, "um" => 140, "state" => "sound" }
  def starts(plan, kind) = plan.of_piece("top").select { |one| one.pass.kind == kind }.map(&:work_start)

  # Five days by its sheet, from the end of the patch; on a found film as on an own one.
  def test_a_rub_out_waits_for_the_patch
    plan = mended(patch, step("r", "rub_out", grits: %w[P1000 P2000]), found: sound)
    assert_operator starts(plan, "rub_out").first - starts(plan, "mend").first, :>=, 7200
  end

  def test_putty_of_its_own_time
    plan = mended(step("m", "mend", way: "putty", spots: 4, product: "put"), step("b", "sand", grits: [ "P180" ]))
    ends = plan.of_piece("top").first.work_end
    assert_in_delta 45, starts(plan, "sand").first - ends, 10, "not the two hours of a putty that nobody names"
  end

  # A layer of 60 µm at 40 % is 24 µm: 140 / 24 = 5.8, six layers, 2 h between them.
  def test_a_spot_to_the_wood_takes_its_layers
    low = findings(mended(patch(deep: "wood"), found: sound), "repair.low").first
    assert_equal({ depth_um: 140.0, leaves_um: 24.0, layers: 6 }, low.figures)
    assert_equal({ "coats" => 6 }, low.remedies.first.operation["set"])
    whole = mended(patch(deep: "wood", coats: 6), found: sound)
    assert_empty findings(whole, "repair.low")
    assert_operator starts(whole, "mend").each_cons(2).map { |one, other| other - one }.min, :>=, 120
    assert_empty findings(mended(patch(depth_um: 20), found: sound), "repair.low")
    assert_empty findings(mended(patch, found: sound), "repair.low"), "nobody says how deep it is"
  end

  def test_the_ring_is_foreseen_on_a_found_film
    ring = findings(mended(patch, found: sound), "repair.spot").first
    assert_match(/High solids gloss does not dissolve again/, ring.sentence)
    scuff, coat = ring.remedies.first.operation["operations"].map { |one| one["step"] }
    assert_equal [ "level", "coat", "hs" ], [ scuff["kind"], coat["kind"], coat["product"] ]
    unknown = { "is" => "unknown", "family" => "cross_linked", "state" => "sound" }
    assert_match(/The old finish/, findings(mended(patch, found: unknown), "repair.spot").first.sentence)
    assert_empty findings(mended(patch, found: { **unknown, "family" => "shellac" }), "repair.spot")
  end
end
