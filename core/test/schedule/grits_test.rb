require "test_helper"

# Grits as they are typed in a shop that numbers its papers one way or the other.
class GritsTest < CoreTest
  def typed(grits, numbers)
    operation = { "op" => "add_step", "after" => nil, "step" => step("s1", "sand", grits: grits) }
    Rhexon::Schedule::Edit.apply(document, operation, numbers: numbers)["steps"].first["grits"]
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
    after = Rhexon::Schedule::Edit.apply(document(coat("s1")), both, numbers: "cami")
    assert_equal "cami-320", after["steps"].first["scuff_with"]
    assert_raises(Rhexon::InvalidInput) {
      Rhexon::Schedule::Edit.apply(document, { "op" => "all", "operations" => 7 }, numbers: "P")
    }
  end
end
