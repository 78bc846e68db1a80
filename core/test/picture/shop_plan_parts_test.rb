require "test_helper"

# A plan of many pieces is drawn in parts, those that are ready first in the first.
class ShopPlanPartsTest < CoreTest
  def test_each_piece_is_in_one_part_and_hands_elsewhere_are_told
    most = Rhexon::Picture::ShopPlan::MOST
    pieces = Array.new(most + 2) { |at| piece(document(coat("s1")), id: format("p%02d", at)) }
    plan = plan(*pieces)
    first, second = [ 1, 2 ].map { |part| Rhexon::Picture::ShopPlan.new(plan, part: part) }
    assert_equal [ most, 2 ], [ first, second ].map { |picture| picture.strands.size }
    assert_equal pieces.map { |record| record["id"] }.sort,
                 (first.strands + second.strands).map(&:piece).sort
    ready = (first.strands + second.strands).map(&:ready_at)
    assert_equal ready.sort, ready
    assert_equal plan.build.ready.values.max, first.ready_at, "the last of all, in whatever part"
    flags = second.lanes.first.flags
    assert_equal 2, flags.size
    # The two coats come one behind the other after all others, so that little of their day is others' work.
    assert_equal flags.map(&:from).min, second.first
    assert(first.lanes.first.elsewhere.all? { |from, till| from < first.last && till > first.first })
  end

  def test_a_shop_that_fits_is_one_part
    picture = Rhexon::Picture::ShopPlan.new(plan(piece(document(coat("s1")))))
    assert_empty picture.lanes.first.elsewhere
    assert_equal [ "top" ], picture.strands.map(&:piece)
    assert_empty Rhexon::Picture::ShopPlan.new(plan(piece(document(coat("s1")))), part: 2).strands
  end
end
