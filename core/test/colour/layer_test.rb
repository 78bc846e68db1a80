require "test_helper"

# Kubelka and Munk, and the surface, at their limits.
class LayerTest < CoreTest
  Layer = Rhexon::Colour::Layer

  # R = 0.5: (1 - 0.5)² / (2 · 0.5) = 0.25.
  def test_k_over_s_and_back
    assert_in_delta 0.25, Layer.q(0.5), 1e-12
    [ 0.01, 0.2, 0.5, 0.9, 0.99 ].each { |r| assert_in_delta r, Layer.ground(Layer.q(r)), 1e-12 }
    assert_in_delta 1e-9, Layer.ground(5e8), 1e-12, "1 / (2 q) for a large q"
  end

  def test_an_endless_layer_hides_what_is_below
    [ 0.0, 0.4, 1.0 ].each do |below|
      assert_in_delta Layer.ground(0.3), Layer.over(below, k: 0.03, s: 0.1, thickness: 1e6), 1e-9
    end
  end

  def test_without_scatter_light_is_only_lost_both_ways
    assert_in_delta 0.6 * Math.exp(-2 * 0.02 * 30), Layer.over(0.6, k: 0.02, s: 0.0, thickness: 30.0), 1e-12
  end

  # (Rg + (1 - Rg) S X) / (1 + (1 - Rg) S X) with Rg 0.2, SX 3: (0.2 + 2.4) / 3.4.
  def test_without_colour_a_layer_only_whitens
    assert_in_delta 2.6 / 3.4, Layer.over(0.2, k: 0.0, s: 0.1, thickness: 30.0), 1e-12
  end

  def test_no_thickness_changes_nothing
    assert_equal 0.37, Layer.over(0.37, k: 0.5, s: 0.5, thickness: 0.0)
  end

  # The two forms meet where they take over from each other.
  def test_the_limits_join_the_general_form
    [ [ 2e-9, 0.05 ], [ 0.05, 2e-9 ] ].each do |k, s|
      exact = Layer.over(0.3, k: k, s: s, thickness: 10.0)
      limit = Layer.over(0.3, k: k < s ? 0.0 : k, s: k < s ? s : 0.0, thickness: 10.0)
      assert_in_delta limit, exact, 1e-6
    end
  end

  # Two half layers are one whole.
  def test_layers_add_up
    half = Layer.over(0.3, k: 0.02, s: 0.05, thickness: 10.0)
    assert_in_delta Layer.over(0.3, k: 0.02, s: 0.05, thickness: 20.0),
                    Layer.over(half, k: 0.02, s: 0.05, thickness: 10.0), 1e-12
  end

  # R 0.4: r = 0.36 / 0.96 = 0.375; Ri = 0.375 / (0.5 + 0.1875) = 0.54545; Ro = 0.96 · 0.4 · 0.54545 / (1 - 0.32727) =
  # 0.31135.
  def test_wet_look_by_hand
    surface = Rhexon::Colour::Surface.usual
    inside = surface.into(Array.new(31, 0.4))
    assert_in_delta 0.545454, inside.first, 1e-5
    assert_in_delta 0.311351, surface.coated(inside).first, 1e-5
    assert_in_delta 0.4, surface.bare(inside, 0.4).first, 1e-12
    assert_in_delta inside.first, surface.under_film(surface.coated(inside, gu: 30), gu: 30).first, 1e-9
  end

  # The dry surface is at most half the least reflectance, so a very dark wood stays above zero.
  def test_a_very_dark_wood_stays_a_reflectance
    inside = Rhexon::Colour::Surface.usual.into([ 0.03, *Array.new(30, 0.2) ])
    assert inside.all? { |value| value.between?(0, 1) }
  end
end
