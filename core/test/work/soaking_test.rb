require "test_helper"

# Where colour ends up: the check and the drawing tell the same.
class SoakingTest < CoreTest
  # 20 µm wet of shellac at 20 % is 4 µm dry; 100 µm of W20 at 32 % is 32.
  def drawn(*steps)
    plan = plan(piece(document(*steps, step("s9", "stain", product: "umber", method: "wipe"), coat("s10"))))
    drawn = Rhexon::Picture::Sheet.new(plan, "top").section.stains.first.in_wood
    assert_equal drawn, findings(plan, "colour.over_film").empty?, "the check says the same"
    drawn
  end

  def test_colour_goes_into_bare_wood_and_through_a_washcoat_and_lies_on_a_film
    assert drawn
    assert drawn(coat("s1", product: "seal", wet_um: 20, role: "seal"))
    refute drawn(coat("s1"))
  end
end
