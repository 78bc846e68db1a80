require "test_helper"

# How a coat is laid on, said at the bench.
class WordsTest < CoreTest
  def rows(*steps, **fields) = Rhexon::Picture::Sheet.new(plan(piece(document(*steps), **fields)), "top").rows

  def test_round_work_begins_one_mark_further_with_each_coat_over_all_its_steps
    found = rows(coat("s1", product: "seal", method: "brush", coats: 2, pattern: "moving_start"),
                 coat("s2", product: "seal", method: "brush", pattern: "with_grain"),
                 coat("s3", product: "seal", method: "brush", coats: 2, pattern: "moving_start"))
    assert_equal [ "start at mark 1", "start at mark 2", "with the grain", "start at mark 3", "start at mark 4" ],
                 found.map(&:pattern)
  end

  def test_a_brush_rests_in_its_thinner_while_more_of_the_same_is_to_come_and_waterborne_is_washed_out
    assert_equal [ "The brush rests in its thinner until the next coat.", nil ],
                 rows(coat("s1", product: "varnish", method: "brush", wet_um: 85, coats: 2)).map(&:rests)
    assert_match(/pad rests in its closed jar/,
                 rows(coat("s1", product: "seal", method: "pad", wet_um: 20, coats: 2)).first.rests)
    assert_equal [ nil, nil ], rows(coat("s1", method: "brush", coats: 2)).map(&:rests)
  end
end
