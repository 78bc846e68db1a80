require "test_helper"

# What was there before the first step, by hand.
class StartTest < CoreTest
  PAINT = { "id" => "primer", "name" => "White primer", "class" => "waterborne_primer", "colour" => "pigmented" }.freeze

  def walk(found, *steps, wood: "closed")
    record = piece(document(*steps), wood: wood)
    record["faces"][0]["found"] = found
    @plan = plan(record, products: PRODUCTS + [ PAINT ])
    @plan.film("top", "show")
  end

  # Primed by somebody else: 120 · 40 % = 48 µm a coat; the next coat counts as third, 100 · 34 %.
  def test_a_known_coat_counts_like_ones_own
    primed = walk({ "is" => "coated", "product" => "primer", "coats" => 2 }, coat("s1"))
    assert_in_delta 96, primed.bare.total_um, 1e-6
    assert_in_delta 96 + 34, primed.final.total_um, 1e-6
    measured = walk({ "is" => "coated", "product" => "primer", "coats" => 2, "um" => 70 }, coat("s1"))
    assert_in_delta 70 + 34, measured.final.total_um, 1e-6
    assert_in_delta 7, measured.bare.sd_um, 1e-6
  end

  # Three coats of an old lacquer: 70 % of 100 · 20 % each; worn through half of it is left. 35 % out.
  def test_an_unknown_finish_is_reckoned_by_rule_of_thumb
    assert_in_delta 42, walk({ "is" => "unknown", "coats" => 3, "family" => "lacquer" }).bare.total_um, 1e-6
    # Not tested: the thinnest, shellac of 80 · 18 % = 14.4, and nothing melts into it.
    assert_in_delta 3 * 14.4 * 0.7 / 2, walk({ "is" => "unknown", "coats" => 3, "state" => "worn" }).bare.total_um, 1e-6
    assert_in_delta 3 * 14.4 * 0.7 * 0.35, walk({ "is" => "unknown", "coats" => 3 }).bare.sd_um, 1e-6
    over = walk({ "is" => "unknown", "coats" => 2 }, coat("s1", product: "lacquer", wet_um: 80)).final
    assert_equal [ 1, 2 ], over.layers.map(&:bond_group)
    shellac = walk({ "is" => "unknown", "coats" => 2, "family" => "shellac" }, coat("s1", product: "seal", wet_um: 80))
    assert_equal [ 1, 1 ], shellac.final.layers.map(&:bond_group), "shellac melts into shellac"
    assert_nil shellac.bare.sheen_gu
  end

  def test_stripped_wood_has_had_its_coats_and_may_hold_colour
    stripped = walk({ "is" => "stripped", "colour_left" => true }, coat("s1"))
    assert_predicate stripped.bare, :bare?
    assert_in_delta 34, stripped.final.total_um, 1e-6, "a third coat sinks in no more"
    refute_nil stripped.final.clear_over_colour
    assert_nil walk({ "is" => "stripped" }, coat("s1")).final.clear_over_colour
  end

  def test_bare_wood_has_the_scratch_of_what_was_done_to_it
    rough, planed = %w[rough_sawn planed].map { |surface| { "is" => "bare", "surface" => surface } }
    assert_equal [ 201, 125, nil ], [ rough, planed, nil ].map { |found| walk(found).bare.scratch_um }
  end

  # Strip it, and it is bare; it is drawn from before the first work.
  def test_what_was_found_is_drawn_and_goes_when_it_is_stripped
    walk({ "is" => "unknown", "coats" => 3, "family" => "lacquer" }, step("s1", "strip", way: "scraping"), coat("s2"))
    section = Rhexon::Picture::Sheet.new(@plan, "top").section
    old, new = section.layers
    assert_equal [ "found", "as found", 42.0, 0.0 ], [ old.look, old.label, old.dry_um, old.left_um ]
    assert_equal [ 42.0, 42.0, 0.0 ], old.top.map(&:last)
    assert_equal [ 0.0, 34.0 ], [ new.base_um, new.dry_um ], "one coat was on it before"
    assert_operator old.laid_at, :<, @plan.of_piece("top").first.hands_start
  end

  def test_what_cannot_have_been_found_is_refused
    assert_match(/bare, coated, under an unknown finish/, refusal { walk({ "is" => "old" }) }.message)
    assert_match(/coat that is not known: nothing/, refusal {
      walk({ "is" => "coated", "product" => "nothing" })
    }.message)
    assert_match(/coat that is not known: russet/, refusal {
      walk({ "is" => "coated", "product" => "russet" })
    }.message)
  end
end
