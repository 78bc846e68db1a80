require "test_helper"

# What wiped coats leave, and what they take out of the pot.
class WipedFilmsTest < CoreTest
  MORE = [ { "id" => "wiping", "name" => "Thin varnish", "class" => "oil_varnish", "wet_um" => { "brush" => 85 },
             "solids_volume_percent" => 32 } ].freeze

  def laid(*steps, **fields) = plan(piece(document(*steps), **fields), products: PRODUCTS + MORE)
  def film_um(*steps) = laid(*steps).film("top", "show").final.total_um

  def wiped(id, coats, product: "wiping", wet_um: 35, **fields)
    coat(id, product: product, method: "wipe", wet_um: wet_um, coats: coats, **fields)
  end

  # 4 · 35 · 0.32 = 44.8, of the first the wood keeps some; a light hand between takes 0.3 to 0.8 each.
  def test_four_wiped_coats_of_varnish_leave_35_to_45_um
    assert_in_delta 40, film_um(wiped("s1", 4)), 5
  end

  # Of one varnish over a seal by cloth three times 35 µm, a light hand between them: 32 to 34; by brush 85 · 0.32 = 27.
  def test_three_wiped_coats_are_about_a_brushed_one
    seal = coat("s1", product: "seal", wet_um: 80, role: "seal")
    built = [ wiped("s2", 3), coat("s2", product: "wiping", method: "brush", wet_um: 85) ].map { |step|
      film_um(seal, step) - film_um(seal)
    }
    assert_in_delta 1.2, built.first / built.last, 0.15
  end

  # 0.035 m² at 25 µm is 0.9 ml a coat; eight in one sitting leave 5 ml once, not eight times.
  def test_a_bowl_takes_less_than_25_ml_of_shellac
    plan = laid(wiped("s1", 8, product: "seal", wet_um: 25), area_m2: 0.035)
    assert_equal 8, plan.of_piece("top").count { |one| one.pass.kind == "coat" }
    assert_operator plan.batches.sum(&:ml), :<, 25
    assert_operator plan.batches.sum(&:ml), :>, 8 * 0.9
  end

  # Two coats of 100 µm on 1 m² from one pot: each coat's page says the whole, and its own part of it.
  def test_one_pot_for_two_coats_is_mixed_at_once
    plan = laid(coat("s1", coats: 2, one_batch: true))
    rows = Rhexon::Picture::Sheet.new(plan, "top").rows.select(&:mix)
    mixed = rows.map { |row| row.mix.mixed_ml }
    assert_equal [ rows.sum { |row| row.mix.laying.gross_ml }.round ], mixed.uniq
    assert_in_delta mixed.first, rows.first.mix.pours.sum(&:ml), 2
    assert_equal [ 1 ], rows.map { |row| row.mix.batches.size }.uniq
    assert_equal [ "spray" ], rows.map { |row| row.mix.left_in }.uniq
  end
end
