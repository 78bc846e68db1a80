require "test_helper"

# Fields of a step as a hand types them.
class AsTypedTest < CoreTest
  def edited(document, operation, numbers)
    as_typed = Rhexon::Schedule::AsTyped.new(numbers: numbers, products: SHELF)
    Rhexon::Schedule::Edit.apply(document, operation, as_typed: as_typed)
  end

  SHELF = {
    "w20" => Rhexon::Materials::Product.new("id" => "w20", "class" => "waterborne_two_part",
                                            "density_g_per_ml" => 1.04)
  }.freeze

  def typed(grits, numbers)
    edited(document, { "op" => "add_step", "after" => nil, "step" => step("s1", "sand", grits: grits) }, numbers)
      .dig("steps", 0, "grits")
  end

  def set(kind, field, text, **fields)
    change = { "op" => "change_step", "id" => "s1", "set" => { field => text } }
    edited(document(step("s1", kind, **fields)), change, "P").dig("steps", 0, field)
  end

  def test_a_number_alone_is_on_the_scale_of_the_shop
    assert_equal %w[P120 P180 P220], typed(%w[120 P180 220], "P")
    assert_equal %w[cami-120 P180 cami-220], typed(%w[120 P180 220], "cami")
    assert_equal %w[cami-120 cushion-4000], typed([ "120 grit", "cushioned 4000" ], "P")
    assert_match(/120 may be P120 \(125 µm\) or 120 grit \(116 µm\)/, refusal { typed([ "120" ], nil) }.message)
    assert_match(/such as P320, 320 grit/, refusal { typed([ "P7" ], "P") }.message)
  end

  def test_in_every_field_and_in_every_operation_of_several
    change = { "op" => "change_step", "id" => "s1", "set" => { "scuff_with" => "320" } }
    both = { "op" => "all", "operations" => [ change ] }
    after = edited(document(coat("s1")), both, "cami")
    assert_equal "cami-320", after["steps"].first["scuff_with"]
    assert_raises(Rhexon::InvalidInput) {
      edited(document, { "op" => "all", "operations" => 7 }, "P")
    }
  end

  # 104 g/m² of 1.04 g/ml is 100 µm, 10 m²/L too; 4 mil 101.6; 400 ft²/gal is 231 000 / 144 / 400 = 4.01 mil, 101.9 µm.
  def test_a_wet_film_in_any_unit
    film = ->(text) { set("coat", "wet_um", text, **coat("s1").except("id", "kind").transform_keys(&:to_sym)) }
    assert_equal [ 100, 101.6, 100, 100, 100, 101.86 ],
                 [ "100", "4 mil", "104 g/m²", "100 ml/m2", "10 m²/L", "400 ft²/gal" ].map { |text| film.(text) }
    refused = refusal { film.("100 furlongs") }
    assert_equal "steps/s1/wet_um", refused.where
    assert_match(/"100 furlongs" is not understood.*4 mil, 120 g\/m²/, refused.message)
  end

  def test_a_time_in_any_unit
    wait = ->(text) { set("wait", "minutes", text, minutes: 60) }
    assert_equal [ 90, 1440, 90, 90, 2880, 1440 + 240, 30 ],
                 [ "90", "24 h", "1 h 30", "1:30", "2 days", "1 d 4 h", "½ h" ].map { |text| wait.(text) }
    assert_match(/24 h, 1 h 30 or 2 days/, refusal { wait.("a while") }.message)
  end
end
