require "test_helper"

class ExpansionTest < CoreTest
  def expand(*steps, count: 1, faces: { "show" => 1.0, "back" => 0.5 }, **fields)
    piece = {
      "id" => "top", "count" => count, "faces" => faces.map { |id, area| { "id" => id, "area_m2" => area } },
      "schedule" => document(*steps, support: "hung")
    }
    shop = Rhexon::Planning::Shop.new(shop_json(piece, **fields))
    Rhexon::Planning::Expansion.for_piece(shop, shop.pieces.first, 0)
  end

  def needs(pass, passes) = pass.needs.map { |need| [ passes[need.pass].key[/top\/(\w+\/\d+)/, 1], need.milestone ] }

  def test_keys_name_piece_step_coat_and_faces
    keys = expand(step("s1", "sand", grits: [ "P180" ]), coat("s2", coats: 2, faces: [ "show" ])).map(&:key)
    assert_equal %w[top/s1/1/show+back top/s2/1/show top/s2/2/show], keys
  end

  # 1.5 m² together, 2 min to take it up: sand 30 min a grit, 2 grits: 62; level 60: 62; rub out 75 a grit, 2 grits:
  # 152; raise grain 3: 5; spray 3.6: 5.6 so 6. Set-up of sanding 3, and 1 for each other paper.
  def test_minutes_of_hands
    passes = expand(step("s1", "sand", grits: %w[P150 P180]), step("s2", "raise_grain"), coat("s3"),
                    step("s4", "level", grits: [ "P320" ], aim: "between"), coat("s5"),
                    step("s6", "rub_out", grits: %w[P800 P1000]), step("s7", "look"),
                    step("s8", "wait", minutes: 60), count: 3)
    assert_equal [ 62, 5, 6, 62, 6, 152, 2, 0 ], passes.map(&:each_min)
    assert_equal [ 4 + 186, 15, 10 + 18 + 15, 3 + 186, 43, 4 + 456, 6, 0 ], passes.map(&:hands_min)
  end

  def test_what_the_next_pass_on_a_face_waits_for
    passes = expand(step("s1", "raise_grain"), step("s2", "sand", grits: [ "P220" ]), coat("s3"),
                    step("s4", "level", grits: [ "P320" ], aim: "between"), coat("s5"), step("s6", "look"),
                    step("s7", "wait", milestone: "stack"), step("s8", "rub_out", grits: [ "P800" ]))
    expected = [
      [], [ %w[s1/1 dry] ], [], [ %w[s3/1 sand] ], [ %w[s3/1 recoat_opens] ], [ %w[s5/1 dust_safe] ],
      [ %w[s5/1 stack] ], [ %w[s5/1 rub_out] ]
    ]
    assert_equal expected, passes.map { |pass| needs(pass, passes) }
  end

  def test_faces_do_not_wait_for_each_other
    passes = expand(coat("s1", faces: [ "show" ]), coat("s2", faces: [ "back" ]), coat("s3"))
    assert_empty passes[1].needs
    assert_equal [ %w[s1/1 recoat_opens], %w[s2/1 recoat_opens] ], needs(passes[2], passes)
    assert_equal [ 0, 1 ], passes[2].under
  end

  def test_a_sanding_that_nothing_coats_any_more_is_a_rub_out
    passes = expand(coat("s1"), step("s2", "sand", grits: [ "P400" ]))
    assert_equal [ %w[s1/1 rub_out] ], needs(passes[1], passes)
  end

  # A filler is sanded when it is dry to sand, coat or no coat, and so is what is levelled last: a rub-out is another
  # step.
  def test_the_last_level_and_fillers_do_not_wait_for_the_rub_out
    last = ->(*steps) { needs(expand(*steps).last, expand(*steps)).map(&:last) }
    denib = step("s9", "level", grits: [ "P600" ], aim: "denib")
    assert_equal %w[sand], last.(coat("s1", product: "varnish", method: "wipe", wet_um: 12), denib)
    assert_equal %w[sand], last.(coat("s1", product: "lacquer"), denib)
    assert_equal %w[sand], last.(coat("s1", product: "lacquer"), denib.merge("aim" => "between", "grits" => [ "P320" ]))
    assert_equal %w[rub_out],
                 last.(coat("s1", product: "seal", method: "pad", wet_um: 12),
                       step("s9", "rub_out", grits: [ "P800" ]))
    assert_equal %w[sand],
                 last.(step("s1", "stain", product: "umber", method: "wipe"), step("s9", "sand", grits: [ "P220" ]))
  end

  def test_only_an_abrasion_of_the_whole_face_after_the_coat_counts_for_it
    passes = expand(step("s0", "sand", grits: [ "P180" ]), coat("s1", faces: [ "show" ]),
                    step("s2", "level", grits: [ "P320" ], aim: "between", faces: [ "show" ]),
                    coat("s3", faces: [ "show" ]), coat("s4", faces: [ "show" ]))
    assert_equal({ 1 => [ [ 2 ] ] }, passes[3].abraded_by)
    assert_equal({ 3 => [ [] ] }, passes[4].abraded_by)
  end

  def test_coats_of_one_evaporative_family_are_one_stack
    passes = expand(coat("s1", product: "lacquer", coats: 3), coat("s2"), coat("s3", product: "lacquer"))
    assert_equal [ [], [ 0 ], [ 0, 1 ], [], [] ], passes.map(&:mates)
    assert_in_delta 60.0, passes[2].stack_dry_um, 1e-9, "three coats of 100 µm at 20 %"
    assert_in_delta 20.0, passes[4].stack_dry_um, 1e-9
  end

  def test_the_last_coats_of_all_faces_decide_when_the_piece_is_ready
    passes = expand(coat("s1", coats: 2, faces: [ "show" ]), coat("s2", faces: [ "back" ]))
    assert_equal [ false, true, true ], passes.map(&:last_on_faces)
  end

  def test_thinning_lowers_the_solids_of_the_pass
    assert_in_delta 34 / 1.1, expand(coat("s1", thinning: { "percent" => 10, "of" => "base" })).first.solids_percent,
                    1e-9
  end
end
