require "test_helper"

# Pairs of Sharma, Wu and Dalal (2005), table 1.
class DeltaETest < CoreTest
  PAIRS = [
    [
      [ 50, 2.6772, -79.7751 ], [ 50, 0, -82.7485 ], 2.0425
    ], [ [ 50, -1.3802, -84.2814 ], [ 50, 0, -82.7485 ], 1.0000 ],
    [
      [ 50, 0, 0 ], [ 50, -1, 2 ], 2.3669
    ], [ [ 50, 2.49, -0.001 ], [ 50, -2.49, 0.0009 ], 7.1792 ], [ [ 50, 2.49, -0.001 ], [ 50, -2.49, 0.0011 ], 7.2195 ],
    [ [ 50, 2.5, 0 ], [ 73, 25, -18 ], 27.1492 ], [
      [ 50, 2.5, 0 ], [ 50, 3.1736, 0.5854 ], 1.0000
    ], [ [ 60.2574, -34.0099, 36.2677 ], [ 60.4626, -34.1751, 39.4387 ], 1.2644 ],
    [
      [ 22.7233, 20.0904, -46.694 ], [ 23.0331, 14.973, -42.5619 ], 2.0373
    ], [ [ 2.0776, 0.0795, -1.135 ], [ 0.9033, -0.0636, -0.5514 ], 0.9082 ]
  ].freeze

  def test_published_pairs
    PAIRS.each do |one, other, expected|
      assert_in_delta expected, Rhexon::Colour::DeltaE.ciede2000(one, other), 1e-4
      assert_in_delta expected, Rhexon::Colour::DeltaE.ciede2000(other, one), 1e-4
    end
  end

  def test_white_black_and_mid_grey_on_screen
    assert_equal "#ffffff", Rhexon::Colour::Lab.hex([ 100, 0, 0 ])
    assert_equal "#000000", Rhexon::Colour::Lab.hex([ 0, 0, 0 ])
    assert_equal "#777777", Rhexon::Colour::Lab.hex([ 50, 0, 0 ])
  end

  def test_words
    assert_equal [ "not seen", "seen side by side", "same family", "another colour" ],
                 [ 0.5, 1.4, 3, 9 ].map { |delta| Rhexon::Colour::DeltaE.label(delta) }
  end
end
