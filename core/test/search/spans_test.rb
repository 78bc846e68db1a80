require "test_helper"

# Sets of minutes against the same kept minute by minute.
class SpansTest < CoreTest
  Spans = Rhexon::Search::Spans

  def test_spans_that_touch_or_overlap_become_one
    spans = Spans.new
    [ [ 10, 20 ], [ 40, 50 ], [ 20, 25 ], [ 24, 41 ] ].each { |from, to| spans.add(from, to) }
    assert_equal 50, spans.clash(12, 13), "one span from 10 to 50"
    assert_nil spans.clash(50, 60), "half open: it ends at 50"
    assert_nil spans.clash(0, 10)
  end

  def test_a_span_without_length_is_nothing
    spans = Spans.new
    spans.add(5, 5)
    assert_nil spans.clash(0, 100)
  end

  def test_random_spans_clash_where_their_minutes_do
    random = Random.new(11)
    60.times do
      spans, minutes = Spans.new, Array.new(200, false)
      12.times do
        from = random.rand(180)
        to = from + random.rand(20)
        spans.add(from, to)
        (from...to).each { |minute| minutes[minute] = true }
        at = random.rand(180)
        till = at + 1 + random.rand(15)
        first = (at...till).find { |minute| minutes[minute] }
        finish = first && (first..200).find { |minute| !minutes[minute] }
        first ? assert_equal(finish, spans.clash(at, till)) : assert_nil(spans.clash(at, till))
      end
    end
  end
end
