require "test_helper"

class CompareTest < CoreTest
  Compare = Rhexon::Compare
  OIL = {
    "id" => "wiping", "name" => "Wiping varnish", "class" => "wiping_varnish",
    "wet_um" => { "wipe" => 12, "brush" => 72 }, "packs" => [ { "ml" => 1000, "price" => 30 } ],
    "voc_ready_g_per_l" => 400, "density_g_per_ml" => 1.0
  }.freeze

  def side(document, label = "x", **fields)
    Compare::Alternative.new(plan(piece(document, **fields), products: PRODUCTS + [ OIL ]), "top", label)
  end

  # One brushed coat of 72 µm wet is six wiped coats of 12.
  def test_one_brushed_coat_is_six_wiped_ones
    product = Rhexon::Materials::Product.new(OIL)
    assert_equal({ "method" => "wipe", "wet_um" => 12, "coats" => 6 },
                 Compare::OtherMethod.laying_for(product, 72, 1, "wipe"))
    assert_equal({ "method" => "brush", "wet_um" => 72, "coats" => 1 },
                 Compare::OtherMethod.laying_for(product, 12, 6, "brush"))
    assert_nil Compare::OtherMethod.laying_for(product, 72, 1, "roller")
  end

  def test_a_schedule_by_another_method_comes_to_the_same_film
    brushed = document(coat("s1", product: "wiping", method: "brush", wet_um: 72, coats: 2))
    operation = Compare::OtherMethod.operation(brushed, { "wiping" => Rhexon::Materials::Product.new(OIL) }, "wipe", [])
    wiped = side(Rhexon::Schedule::Edit.apply(brushed, operation))
    assert_equal 12, wiped.coats
    assert_in_delta side(brushed).film_um, wiped.film_um, 10,
                    "the wood drinks of the first two coats, and thin ones hold less"
    assert_nil Compare::OtherMethod.operation(brushed, { "wiping" => Rhexon::Materials::Product.new(OIL) }, "wipe",
                                              [ "s1" ]),
               "work in the log stays as it is"
  end

  # Brushed 1 m² at 72 µm: 72 ml / 0.95 + 20 ml in the brush, 10 % more: 105.4 ml, at 30 a litre 3.16, 400 g/l of it
  # 42 g.
  def test_litres_cost_and_solvent
    found = side(document(coat("s1", product: "wiping", method: "brush", wet_um: 72)))
    assert_in_delta 0.1054, found.litres, 1e-4
    assert_in_delta 3.16, found.cost, 0.05
    assert_in_delta 42.2, found.voc_g, 0.1
    assert_nil side(document(coat("s1"))).cost, "without a price"
  end

  # 105.4 ml, a tenth of it thinner of 0.8 g/ml whose sheet says nothing: all of it evaporates. (95.8 ml at 400 g/l
  # and 9.58 ml at 800).
  def test_the_thinner_counts_as_solvent
    spirit = { "id" => "thin", "class" => "thinner", "carrier" => "mineral_spirit", "density_g_per_ml" => 0.8 }
    thinned = document(
      coat("s1", product: "wiping", method: "brush", wet_um: 72, thinning: { "percent" => 10, "of" => "base" },
                 thinner: "thin")
    )
    found = Compare::Alternative.new(plan(piece(thinned), products: PRODUCTS + [ OIL, spirit ]), "top", "x")
    assert_in_delta 105.4 / 1.1 * 0.4 + 105.4 / 11 * 0.8, found.voc_g, 0.2
  end

  def test_a_difference_of_price_has_its_unit
    dear, cheap = [ 2, 4 ].map { |coats|
      side(document(coat("s1", product: "wiping", method: "brush", wet_um: 72, coats: coats)))
    }
    assert(
      Compare::Differences.for(dear, cheap, currency: "EUR").any? do |part|
        part.match?(/\A\d+\.\d\d EUR of material more/)
      end
    )
  end

  # Open wood: pores of 200 µm, 0.4 of a sprayed film in them; closed wood 30 µm.
  def test_pores
    three = document(coat("s1", coats: 3))
    assert_equal "open", side(three, wood: "open").pores
    assert_in_delta 0.4 * side(three, wood: "open").film_um / 200, side(three, wood: "open").pores_filled, 1e-3
    assert_equal "half-filled", side(document(coat("s1", coats: 2)), wood: "closed").pores
    assert_equal "closed", side(document(coat("s1", coats: 4)), wood: "closed").pores
  end

  def test_differences_in_words
    one, other = side(document(coat("s1", coats: 3))), side(document(coat("s1", coats: 2)))
    words = Compare::Differences.for(one, other)
    assert_includes words, "1 coat fewer"
    assert words.any? { |part| part.end_with?("sooner") }
    assert words.any? { |part| part.end_with?("less film") }
    assert_empty Compare::Differences.for(one, one)
  end
end
