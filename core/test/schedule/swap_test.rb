require "test_helper"

class SwapTest < CoreTest
  # 10 parts of hardener and a brush of 100 µm on the one; 60 µm sprayed, and no hardener, on the other.
  def products
    @products ||= [
      { "id" => "two", "class" => "waterborne_two_part", "wet_um" => { "brush" => 100, "spray" => 90 } },
      { "id" => "one", "class" => "nitro_lacquer", "wet_um" => { "spray" => 60 } },
      { "id" => "filler", "class" => "waterborne_filler" }, { "id" => "seal", "class" => "shellac" }
    ].to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
  end

  def swapped(step, to, **options)
    step.merge(Rhexon::Schedule::Swap.set(step, products.fetch(to), **options)).compact
  end

  def test_what_belonged_to_the_old_product_goes_and_the_new_sheet_says_how_thick
    step = coat("s1", product: "two", method: "spray", wet_um: 120, coats: 3, hardener_parts: 12, thinner: "water",
                      thinning: { "percent" => 10, "of" => "base" }, one_batch: true, room: "bench")
    assert_equal coat("s1", product: "one", method: "spray", wet_um: 60, coats: 3, one_batch: true, room: "bench"),
                 swapped(step, "one")
  end

  def test_a_method_that_the_sheet_does_not_have_is_its_first_with_its_film
    made = swapped(coat("s1", product: "two", method: "brush", wet_um: 100), "one")
    assert_equal [ "spray", 60 ], made.values_at("method", "wet_um")
    assert_equal "brush", swapped(coat("s1", product: "seal", method: "brush", wet_um: 70), "two")["method"]
  end

  def test_colourants_stay_where_they_go_into_the_other
    tint = [ { "product" => "red", "percent" => 2 }, { "product" => "oxide", "percent" => 1 } ]
    tinted = step("s1", "stain", product: "a", method: "wipe", tint: tint)
    assert_equal %w[red oxide], swapped(tinted, "seal")["tint"].map { |part| part["product"] }
    assert_equal %w[red], swapped(tinted, "seal", tints: %w[red])["tint"].map { |part| part["product"] }
    refute_includes swapped(tinted, "seal", tints: []).keys, "tint"
  end

  def test_a_filling_goes_as_its_product_is_put_in
    filled = step("s1", "fill", product: "seal", method: "wipe", way: "slurry")
    assert_equal "filler", swapped(filled, "filler")["way"]
    assert_equal "slurry", swapped(filled.merge("way" => "filler"), "seal")["way"]
  end

  # The least coats of the old film are no remedy's business: only the mix and the wet film are set anew.
  def test_remedies_swap_by_the_same_rule
    document = document(coat("s1", product: "waxy", method: "brush", wet_um: 90, role: "seal",
                                   thinning: { "percent" => 20, "of" => "base" }), coat("s2"))
    made = plan(piece(document))
    remedy = findings(made, "bond.waxy_shellac").first.remedies.find { |one| one.label.start_with?("Use") }
    set = remedy.operation["set"]
    assert_equal [ "seal", nil ], set.values_at("product", "thinning")
    assert_equal made.shop.products["seal"].wet_um("brush").value, set["wet_um"]
  end
end
