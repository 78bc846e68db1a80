require "test_helper"

class TouchesTest < CoreTest
  Touches = Rhexon::Boards::ReplicateReadings

  def test_touches_are_brought_to_their_mean
    assert_equal [ 35.0, 20.0, 23.5 ], Touches.mean("lab", [ [ 34.8, 20, 23.4 ], [ 35.2, 20, 23.6 ], [ 35, 20, 23.5 ] ])
    assert_in_delta 30.2, Touches.mean("gloss", [ 29.8, 30.2, 30.6 ]), 1e-9
  end

  def test_touches_that_are_not_of_one_surface_are_refused_by_what_they_said
    assert_match(/do not agree: 30.0 \/ 37.0/, refusal { Touches.mean("gloss", [ 30.0, 37.0 ]) }.message)
    assert_match(/do not agree/,
                 refusal { Touches.mean("lab", [ [ 35, 20, 23 ], [ 35, 20, 23 ], [ 45, 20, 23 ] ]) }.message)
    assert_equal 33.0, Touches.mean("gloss", [ 30.0, 36.0 ]), "six GU apart is still one surface"
  end
end
