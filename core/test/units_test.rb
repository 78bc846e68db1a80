require "test_helper"

class UnitsTest < CoreTest
  # 1 lb per US gal = 453.59237 g / 3.785411784 L
  def test_pound_cut_in_grams_per_litre
    assert_in_delta 119.826, Rhexon::Units.convert(1, from: :lb_per_gal, to: :g_per_l), 0.001
  end

  def test_film_area_and_temperature
    assert_in_delta 101.6, Rhexon::Units.convert(4, from: :mil, to: :um), 1e-9
    assert_in_delta 10.7639, Rhexon::Units.convert(1, from: :m2, to: :ft2), 1e-4
    assert_in_delta 68.0, Rhexon::Units.convert(20, from: :c, to: :f), 1e-9
    assert_in_delta(-40.0, Rhexon::Units.convert(-40, from: :f, to: :c), 1e-9)
  end

  # 128 US fl oz make a US gal
  def test_volume
    assert_in_delta 128.0, Rhexon::Units.convert(1, from: :gal, to: :fl_oz), 1e-6
  end

  # 100 µm: 1000 / 100 = 10 m²/L; 4 mil: 1604 / 4 = 401 ft²/gal
  def test_spread
    assert_in_delta 10.0, Rhexon::Units.spread_m2_per_l(100), 1e-9
    assert_in_delta 401.0, Rhexon::Units.spread_ft2_per_gal(4), 0.1
  end

  def test_every_conversion_and_back_is_the_same_amount
    Rhexon::Units::SCALES.each_value do |units|
      units.keys.permutation(2) do |from, to|
        there = Rhexon::Units.convert(3.7, from: from, to: to)
        assert_in_delta 3.7, Rhexon::Units.convert(there, from: to, to: from), 1e-9, "#{from} to #{to}"
      end
    end
  end

  def test_refuses_grams_to_millilitres
    assert_match(/Cannot turn g into ml/, refusal { Rhexon::Units.convert(1, from: :g, to: :ml) }.message)
  end
end

class LoadingTest < CoreTest
  def test_every_name_that_the_library_promises_can_be_loaded
    Rhexon.constants.map { |name| Rhexon.const_get(name) }.grep(Module).each do |room|
      room.constants.each { |name| refute_nil room.const_get(name) }
    end
  end
end
