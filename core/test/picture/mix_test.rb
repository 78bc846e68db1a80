require "test_helper"

# What the detail of a coat says of its mix.
class MixPictureTest < CoreTest
  SHELF = [ { "id" => "clear", "name" => "Clear", "class" => "waterborne_two_part", "density_g_per_ml" => 1.04,
              "voc_ready_g_per_l" => 100, "voc_less_water_g_per_l" => 250, "thinner" => "water",
              "thinning_range_percent" => [ 0, 10 ], "efflux" => [ [ 0, 40 ], [ 20, 20 ] ],
              "mix" => [ { "product" => "hard", "parts" => 25, "role" => "hardener", "range" => [ 20, 30 ] } ] },
            {
              "id" => "hard", "name" => "Hard", "class" => "hardener", "density_g_per_ml" => 1.1,
              "voc_ready_g_per_l" => 200
            }, {
              "id" => "water", "name" => "Water", "class" => "thinner", "carrier" => "water", "density_g_per_ml" => 1.0
            },
            { "id" => "oil", "name" => "Rubbing oil", "class" => "siccative_oil" } ].freeze

  def mixes(*steps, **fields)
    planned = plan(piece(document(*steps), **fields), products: PRODUCTS + SHELF)
    Rhexon::Picture::Sheet.new(planned, "top").rows.map(&:mix)
  end

  # 100 parts at 100 g/L and 25 at 200: (100 · 100 + 25 · 200) / 125 = 120; without water 15 000 / (40 + 25).
  def test_voc_of_the_mix_in_both_conventions
    assert_equal({ ready_g_per_l: 120, less_water_g_per_l: 231 }, mixes(coat("s1", product: "clear")).first.voc)
    assert_nil mixes(coat("s1", product: "w20")).first.voc, "nothing is stated"
  end

  def test_water_thins_the_voc_ready_for_use_only
    thinned = mixes(coat("s1", product: "clear", thinning: { "percent" => 10, "of" => "base" })).first
    assert_equal({ ready_g_per_l: 111, less_water_g_per_l: 231 }, thinned.voc)
    assert_equal 28, thinned.efflux_s, "sqrt(40 · 20)"
    assert_equal %w[Clear Hard Water], thinned.pours.map(&:name)
  end

  # 0.12 m² at 5 µm: 0.6 ml, 12 drops, and 15 % that the hand keeps: 14; a thin coat is neither flooded on nor poured
  # with a margin. 3 alike: 2.07 ml.
  def test_rubbed_oil_is_dosed_in_drops_from_the_second_coat_on
    first, second = mixes(coat("s1", product: "oil", method: "pad", wet_um: 5, coats: 2), area_m2: 0.12, count: 3)
    assert_nil first.drops
    assert_equal 25, first.laid_ml, "0.12 m² x 3 at 70 ml: flooded on"
    assert_equal 14, second.drops
    assert_in_delta 2.07,
                    Rhexon::Mixing::Laying.of_pass(
                      placement(
                        plan(
                          piece(
                            document(coat("s1", product: "oil", method: "pad", wet_um: 5, coats: 2)), area_m2: 0.12,
                            count: 3
                          ),
                          products: PRODUCTS + SHELF
                        ),
                        "s1/2"
                      ).pass
                    ).gross_ml,
                    1e-6
    assert_equal [ nil, 14 ],
                 mixes(coat("s1", product: "oil", method: "pad", wet_um: 5),
                       coat("s2", product: "oil", method: "pad", wet_um: 5), area_m2: 0.12).map(&:drops),
                 "a second step is a later coat too"
    assert_nil mixes(coat("s1", product: "w20"),
                     coat("s2", product: "oil", method: "pad", wet_um: 5, wipe_off: true))[1].drops,
               "flooded again"
  end

  def test_only_what_lays_something_on_has_a_mix
    assert_equal [ nil, true ],
                 mixes(step("s1", "sand", grits: %w[P180]), coat("s2", product: "clear")).map { |mix| mix&.known }
    refute mixes(coat("s1", product: "w20")).first.known, "a two-part whose sheet names no hardener"
  end
end
