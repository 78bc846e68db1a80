require_relative "../test_helper"

# A spot that is cut out and patched, foreseen as rings: 0.5 mm of feather for each µm, 30 mm over the edge.
class PatchTest < CoreTest
  def layer(pass, um, group:, redissolves: false, family: nil)
    Rhexon::Film::Layer.new(pass: pass, product_id: pass, um: um, arris_um: um, laid_um: um, bond_group: group,
                            redissolves: redissolves, family: family, mechanism: "reactive")
  end

  def film(*layers) = Rhexon::Film::Stack.new(wood: "closed", layers: layers)

  def patch(layers, pass:, spot_mm: 20) = Rhexon::Faults::Patch.new(film(*layers), pass: pass, spot_mm: spot_mm)

  # 10 mm of spot, 30 µm = 15 mm, 40 µm = 20 mm: cut to 45 mm, coated to 75 mm from the middle.
  def test_two_films_make_two_rings_and_the_edge
    made = patch([ layer("a", 30, group: 1), layer("b", 40, group: 2) ], pass: "a")
    assert_equal [ [ 10.0, 25.0 ], [ 25.0, 45.0 ] ], made.rings.map { |ring| [ ring.from_mm, ring.to_mm ] }
    assert_equal [ 90.0, 150.0, 3, false ], [ made.cut_mm, made.patch_mm, made.lines, made.blends? ]
    assert_match(/3 rings stay.*natural break/, made.words)
  end

  def test_coats_that_fused_show_no_line_between_them
    made = patch([ layer("a", 30, group: 1), layer("b", 40, group: 1) ], pass: "a")
    assert_equal 2, made.lines, "where it starts on the wood, and its edge"
  end

  def test_only_the_coat_at_fault_and_what_lies_over_it_is_cut
    made = patch([ layer("a", 30, group: 1), layer("b", 40, group: 2), layer("c", 20, group: 3) ], pass: "b")
    assert_equal %w[b c], made.rings.map(&:product)
    assert_equal 10 + 20 + 10, made.cut_mm / 2
  end

  def test_lacquer_melts_together_and_blends
    lacquered = [ 30, 40 ].map { |um| layer("of #{um}", um, group: 1, redissolves: true, family: "lacquer") }
    made = patch(lacquered, pass: "of 30")
    assert_predicate made, :blends?
    assert_equal 0, made.lines
    assert_match(/blends\./, made.words)
  end

  def test_shellac_under_lacquer_does_not_melt_into_it
    two = [ layer("a", 30, group: 1, redissolves: true, family: "shellac"),
            layer("b", 40, group: 2, redissolves: true, family: "lacquer") ]
    refute_predicate patch(two, pass: "a"), :blends?
  end

  def test_nonsense_sizes_are_refused
    [ 0, -5, 3000, "x", nil ].each do |mm|
      assert_match(/so many mm across/, refusal { patch([ layer("a", 30, group: 1) ], pass: "a", spot_mm: mm) }.message)
    end
  end
end
