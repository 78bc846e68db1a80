require "test_helper"

# Blends of the shop's own, made of what is bought or made here: shares of all that is in them, worked by hand.
class OwnBlendTest < CoreTest
  def shelf(*records) = records.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
  def part(product, parts, **more) = { "product" => product, "parts" => parts, **more.transform_keys(&:to_s) }

  def oils
    shelf(
      { "id" => "oil", "name" => "Tung oil", "class" => "raw_oil", "density_g_per_ml" => 0.94 },
      { "id" => "varnish", "name" => "Varnish", "class" => "oil_varnish", "density_g_per_ml" => 0.9,
        "solids_volume_percent" => 50 },
      { "id" => "spirit", "name" => "Spirit", "class" => "thinner", "density_g_per_ml" => 0.8 },
      { "id" => "b", "name" => "Blend B", "class" => "wiping_varnish",
        "made_of" => [ part("oil", 100), part("varnish", 100) ] },
      { "id" => "a", "name" => "Blend A", "class" => "wiping_varnish",
        "made_of" => [ part("b", 100), part("spirit", 100) ] }
    )
  end

  # Half of A is B by volume, of 0.92 g/ml; half is spirit of 0.8: 0.86 g/ml. By weight B is 0.92 / 1.72 = 53.5 %, of
  # which the oil is 0.94 / 1.84 = 51.1 %: 27.3 % oil, 26.2 % varnish, 46.5 % spirit. Solids: (100 + 50) / 4 = 37.5 %
  # of B's 75 and nothing of the spirit.
  def test_a_blend_of_a_blend_is_what_goes_into_it
    found = Rhexon::Mixing::OwnBlend.figures(oils["a"], oils)
    assert_in_delta 0.86, found[:density_g_per_ml], 1e-9
    assert_equal({ "Tung oil" => 27.3, "Varnish" => 26.2, "Spirit" => 46.5 },
                 found[:raw].transform_values { |share| (share * 100).round(1) })
    b = Rhexon::Mixing::OwnBlend.figures(oils["b"], oils)
    assert_equal [ 75.0, nil ], [ b, Rhexon::Mixing::OwnBlend.figures(unknown["b"], unknown) ].map { |figures|
      figures[:solids_volume_percent]
    }
  end

  # B is 75 % by what is in it, A half of that with spirit; what its sheet says stands.
  def test_the_plan_takes_what_is_made_here_by_its_parts
    settled = Rhexon::Mixing::OwnBlend.settled(oils)
    assert_equal [ 75.0, 37.5 ], %w[b a].map { |id| settled[id].solids_volume_percent.value }
    assert_equal [ 0.92, 0.86 ], %w[b a].map { |id| settled[id].density_g_per_ml.value.round(3) }
    stated = oils.merge(shelf(oils["b"].to_h.merge("solids_volume_percent" => 60)))
    assert_equal 60, Rhexon::Mixing::OwnBlend.settled(stated)["b"].solids_volume_percent.value
    shop = plan(piece(document(coat("s1", product: "b", method: "wipe", wet_um: 35))),
                products: oils.values.map(&:to_h)).shop
    assert_equal 75.0, shop.products["b"].solids_volume_percent.value
    half = Rhexon::Mixing::OwnBlend.settled(unknown)["b"]
    assert_nil half.solids_volume_percent, "what cannot be reckoned is left open"
    assert half.density_g_per_ml.estimate, "a part of unknown density makes an estimate of it"
  end

  def unknown
    shelf({ "id" => "dye", "name" => "Dye", "class" => "water_dye" },
          { "id" => "b", "name" => "B", "class" => "water_dye", "made_of" => [ part("dye", 100), part("mystery", 5) ] })
  end

  def test_what_is_made_of_itself_or_of_nothing_is_told
    circle = shelf(
      { "id" => "a", "name" => "A", "class" => "water_dye", "made_of" => [ part("b", 100) ] },
      { "id" => "b", "name" => "B", "class" => "water_dye", "made_of" => [ part("a", 100) ] }
    )
    assert_match(/A is made of itself/, refusal { Rhexon::Mixing::OwnBlend.recipe(circle["a"], circle) }.message)
    assert_match(/Spirit is not made here/, refusal { Rhexon::Mixing::OwnBlend.recipe(oils["spirit"], oils) }.message)
  end
end
