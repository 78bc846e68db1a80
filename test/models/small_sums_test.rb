require "test_helper"

class SmallSumsTest < ActiveSupport::TestCase
  def answer(sum, numbers: "P", **fields)
    Sums::Answer.answer(sum, fields.transform_keys(&:to_s).transform_values(&:to_s), numbers: numbers)
  end

  test "cuts in every notation" do
    assert_in_delta 615.8, answer("thin_cut", stock: "2 lb", amount: "250 ml", to: "0,5")[:add_spirit_ml], 0.1
    assert_in_delta 615.8, answer("thin_cut", stock: "239.65 g/l", amount: "¼ l", to: "0.5 lb cut")[:add_spirit_ml], 0.1
    assert_in_delta 250, answer("make_cut", amount: "1 l", cut: "1:4")[:g_per_l], 1e-6
    assert_in_delta 98.39, answer("make_cut", amount: "500", cut: "2")[:flake_g], 0.01
  end

  test "thirty per cent, of what" do
    both = answer("thin", amount: "1 l", percent: "30", solids: "34")
    assert_equal [ 300, 429 ], [ both[:of_base_ml], both[:of_total_ml] ].map(&:round)
    assert_in_delta 34 / 1.3, both[:solids_of_base], 1e-6
    assert_nil answer("thin", amount: "1 l", percent: "30", solids: "")[:solids_of_base]
  end

  test "volume to weight, film, spread and grit" do
    assert_in_delta 10.769,
                    answer("share", base_parts: 100, base_density: 1.04, added_parts: 10, added_density: 1.12,
                                    basis: "volume")[:to_100][:mass],
                    0.001
    film = answer("film", used: "297.14 g", density: "1.04", area: "2 m²", landed: "70", solids: "34")
    assert_in_delta 100, film[:wet_um], 0.01
    assert_in_delta 34, film[:dry_um], 0.01
    assert_in_delta 10, answer("spread", film: "100 µm", method: "brush")[:m2_per_l], 1e-9
    assert_in_delta 401, answer("spread", film: "4 mil", method: "brush")[:ft2_per_gal], 0.1
    assert_in_delta 100, answer("spread", film: "104 g/m²", density: "1.04", method: "brush")[:wet_um], 0.01
    assert_equal [ "cami-400", "P1200" ], %w[P cami].map { |scale| answer("grit", numbers: scale, grit: "600")[:other] }
  end

  test "spirit with water in it is refused with the reason" do
    error = assert_raises(Rhexon::InvalidInput) { answer("make_cut", amount: "1 l", cut: "2", water: "30") }
    assert_equal "water", error.where
    assert_match(/rubbing grades/, error.message)
  end

  # A pint of a 2 lb cut and 3 fl oz more: the flake in 473.2 ml, at 0.2396 g / ml and 1.2179 ml of solution to 1 of
  # spirit, is 93.1 g, in 388.5 + 88.7 ml of spirit: 195.1 g/L, 1.63 lb. By the rule of thumb 2 · 473 / 562 = 1.68.
  test "three ounces were added, what is it now" do
    now = answer("after_adding", stock: "2#", amount: "1 pt", add: "3 fl oz", water: "")
    assert_in_delta 1.63, now[:lb], 0.01
    assert_in_delta 1.68, now[:rule_lb], 0.01
    assert_in_delta 561.9, now[:solution_ml], 0.1
  end

  test "a cut is made of the flake or the spirit that is there" do
    assert_in_delta 239.65, answer("make_cut", of: "spirit", amount: "1 l", cut: "2")[:flake_g], 0.01
    asked = assert_raises(Rhexon::InvalidInput) { answer("make_cut", amount: "2 oz", cut: "2") }
    assert_match(/2 oz is a weight; choose the flake there is, if it is of flake/, asked.message)
    assert_raises(Rhexon::InvalidInput) { answer("make_cut", of: "flake", amount: "1 l", cut: "2") }
  end

  # 2 oz of flake are 56.7 g: at 2 lb in 236.6 ml of spirit. A jar of 9 oz of a 2 lb cut: 0.2396 g and 0.789 g in
  # 1.2179 ml, 0.8447 g/ml, 302 ml.
  test "a weight is the flake there is, or the jar on the scale" do
    assert_in_delta 56.699, answer("make_cut", of: "flake", amount: "2 oz", cut: "2")[:flake_g], 0.001
    assert_in_delta 236.6, answer("make_cut", of: "flake", amount: "2 oz", cut: "2")[:spirit_ml], 0.1
    assert_in_delta 302.1, answer("thin_cut", stock: "2 lb", amount: "9 oz", to: "1 lb")[:stock_ml], 0.3
  end

  test "a comma that can be both is asked" do
    assert_match(/1.500 or 1500/,
                 assert_raises(Rhexon::InvalidInput) { answer("make_cut", amount: "1,500 ml", cut: "2") }.message)
  end

  test "what is not understood names its field" do
    { "thin_cut" => [ { stock: "strong", amount: "1 l", to: "1" }, "stock" ],
      "make_cut" => [ { amount: "2 furlongs", cut: "2" }, "amount" ],
      "film" => [ { used: "1 g", density: 1, area: "wide", landed: 70, solids: 3 }, "area" ],
      "grit" => [ { grit: "fine" }, "grit" ],
      "spread" => [ { film: "0", method: "brush" }, "film" ] }.each do |sum, (fields, where)|
      assert_equal where, assert_raises(Rhexon::InvalidInput, sum) { answer(sum, **fields) }.where
    end
  end
end
