require "test_helper"

# Cuts as the trade writes them: all of these are two pounds to the gallon, 119.83 g/L each pound.
class TypedCutTest < CoreTest
  def lb(text) = Rhexon::Mixing::TypedCut.read(text, where: "cut").lb_per_gal

  def test_every_way_of_saying_a_cut
    [ "2", "2 lb", "2#", "2 lb cut", "2-lb cut".tr("-", " "), "2 lbs", "239.65 g/l" ].each do |text|
      assert_in_delta 2, lb(text), 0.01, text
    end
    assert_in_delta 0.5, lb("½ lb"), 1e-9
    assert_in_delta 1.5, lb("1 1/2 lb"), 1e-9
    assert_in_delta 250 / 119.826, lb("1:4"), 0.001
    assert_in_delta lb("1:4"), lb("4:1"), 1e-9, "there is less flake than spirit, whichever is named first"
    # A fifth of the weight is flake: 0.25 g to a gram of spirit of 0.79 to 0.8 g/ml.
    assert_in_delta 0.25 * 0.8 * 1000 / 119.826, lb("20 %"), 0.05
    assert_match(/2 lb, 2#, ½ lb/, refusal { lb("strong") }.message)
  end
end
