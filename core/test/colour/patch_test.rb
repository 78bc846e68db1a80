require "test_helper"

class PatchTest < CoreTest
  Patch = Rhexon::Colour::Patch

  # A grey of 18 % is L* 49.5 (CIE 1976: 116 * cbrt(0.18) - 16 = 49.50), whatever colour the lamp gives the picture.
  def test_the_card_itself_is_neutral_in_any_light
    [ [ 0.18, 0.18, 0.18 ], [ 0.30, 0.20, 0.10 ] ].each do |card|
      lab = Patch.lab(card, grey: card)
      assert_in_delta 49.5, lab[0], 0.05
      lab.drop(1).each { |axis| assert_in_delta 0, axis, 0.05 }
    end
  end

  # Pure sRGB red is L* 53.2, a* 80.1, b* 67.2 (D65); here under a lamp that halves blue and dims everything.
  def test_a_known_colour_comes_back_through_a_coloured_exposure
    lamp = [ 0.8, 0.6, 0.3 ]
    lab = Patch.lab([ 1.0, 0.0, 0.0 ].zip(lamp).map { |value, gain| value * gain },
                    grey: lamp.map { |gain| 0.18 * gain })
    [ 53.2, 80.1, 67.2 ].zip(lab) { |expected, found| assert_in_delta expected, found, 0.1 }
  end

  def test_a_white_card_takes_flare_away
    flare = ->(value) { 0.05 + 0.8 * value }
    assert_in_delta 116 * Math.cbrt(0.05) - 16,
                    Patch.lab([ flare.(0.05) ] * 3, grey: [ flare.(0.18) ] * 3, white: [ flare.(0.9) ] * 3)[0], 0.1
    assert_operator Patch.lab([ flare.(0.05) ] * 3, grey: [ flare.(0.18) ] * 3)[0], :>, 30,
                    "without it the dark patch looks paler"
  end

  def test_burnt_and_drowned_parts_are_refused
    assert_match(/grey is burnt out/, refusal { Patch.lab([ 0.2 ] * 3, grey: [ 0.99, 0.5, 0.5 ]) }.message)
    assert_match(/grey is too dark/, refusal { Patch.lab([ 0.2 ] * 3, grey: [ 0.005 ] * 3) }.message)
    assert_match(/hardly lighter/, refusal { Patch.lab([ 0.2 ] * 3, grey: [ 0.18 ] * 3, white: [ 0.2 ] * 3) }.message)
  end
end
