require "test_helper"

class TypedTest < CoreTest
  def read(text, **options) = Rhexon::Typed.read(text, **options)

  def test_amounts_as_they_are_typed
    { "500 ml" => 500, "1,5 l" => 1500, "1.5L" => 1500, "1½ cup" => 1.5 * 236.5882365, "½ l" => 500, "1 1/2 l" => 1500,
      "3/4 l" => 750, "8 fl. oz" => 236.5882365, "1 US gal" => 3785.411784,
      "1 500 ml" => 1500, "2 tbsp" => 29.5735295625, "1,250.5 ml" => 1250.5 }.each do |text, ml|
      found = read(text)
      assert_equal :volume, found.kind, text
      assert_in_delta ml, found.value, 1e-6, text
    end
    { "2oz" => 56.69904625, "250 g" => 250, "1,2kg" => 1200, "1 lb" => 453.59237 }.each { |text, g|
      assert_in_delta g,
                      read(text, wants: :mass).value, 1e-6, text
    }
  end

  def test_a_bare_number_takes_the_unit_of_its_field
    assert_in_delta 410, read("410", unit: :g).value, 1e-9
    assert_match(/has no unit/, refusal { read("410") }.message)
  end

  # Three digits after one comma may be a thousand or a decimal.
  def test_a_comma_that_can_be_both_is_asked
    [ "1,500 ml", "12,250 g" ].each { |text| assert_match(/without the comma/, refusal { read(text) }.message) }
    assert_match(/1.500 or 1500/, refusal { read("1,500 ml") }.message)
    { "0,500 l" => 500, "1,50 l" => 1500, "1,250,000 ml" => 1_250_000 }.each do |text, ml|
      assert_in_delta ml, read(text).value, 1e-6, text
    end
  end

  def test_what_cannot_be_read_is_refused_with_what_is_accepted
    assert_match(/An oz is a weight; a volume is written fl oz/, refusal { read("2oz", wants: :volume) }.message)
    assert_match(/is a volume, a weight is asked/, refusal { read("2 l", wants: :mass) }.message)
    assert_match(/nothing to pour/, refusal { read("0 ml") }.message)
    assert_match(/nothing to pour/, refusal { read("-3 ml") }.message)
    [ "much", "", "12 furlongs", "1,2,3 l", "1/0 l", "1 2 3/4 5 l" ].each do |text|
      assert_instance_of Rhexon::InvalidInput, refusal { read(text) }, text
    end
  end
end
