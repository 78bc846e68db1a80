require "test_helper"

class SubsetTest < CoreTest
  Subset = Rhexon::Boards::Subset
  Design = Rhexon::Boards::Design

  def rows(*sizes)
    sizes.map { |size| (0...size).to_a }
      .then { |first, *rest| first.product(*rest) }
      .map { |run| Rhexon::Boards::Effects.main_row(run, sizes) }
  end

  def determinant(rows) = Matrix.rows(rows).then { |x| (x.transpose * x).determinant }

  # All picks of 6 among 12 looked at: none is better.
  def test_no_other_pick_tells_more_in_a_case_small_enough_to_look_at_all
    candidates = rows(3, 2, 2)
    found = Subset.new(candidates, 6, 1)
    best = (0...12).to_a.combination(6).map { |picks| determinant(candidates.values_at(*picks)) }.max
    assert_in_delta best, determinant(candidates.values_at(*found.picks)), 1e-6
    assert_in_delta Math.log(best), found.log_determinant, 1e-9
  end

  # Eight of 2^4 can be orthogonal: X'X = 8 I, so its determinant is 8^5.
  def test_an_orthogonal_half_is_found
    assert_in_delta 5 * Math.log(8), Subset.new(rows(2, 2, 2, 2), 8, 1).log_determinant, 1e-9
  end

  def test_the_same_question_has_the_same_answer_and_work_is_counted
    assert_equal Subset.new(rows(3, 3, 2), 8, 5).picks, Subset.new(rows(3, 3, 2), 8, 5).picks
    assert_operator Subset.new(rows(3, 3, 2), 8, 5).instance_variable_get(:@left), :<, Subset::WORK
  end

  def factors(*sizes)
    sizes.each_with_index.map { |size, at| { "name" => "f#{at}", "levels" => (1..size).map(&:to_s) } }
  end

  # Designs that once took minutes or gigabytes: work is counted, what is too many is refused before it is multiplied
  # out.
  def test_large_designs_are_sampled_or_refused
    {
      [ [ 5 ] * 4, 24 ] => 0.9, [ [ 3 ] * 5, 16 ] => 0.9, [ [ 2 ] * 8, 16 ] => 0.95, [ [ 5 ] * 8, 40 ] => 0.6
    }.each do |(sizes, runs), efficiency|
      made = Design.for(factors(*sizes), "subset", runs: runs)
      assert_equal runs, made.runs.uniq.size
      assert_includes efficiency..1.0 + 1e-9, made.efficiency, sizes.inspect
    end
    assert_match(/10 things to vary are too many/, refusal { Design.for(factors(*[ 5 ] * 10), "full") }.message)
    assert_match(/390625 cells are too many/, refusal { Design.for(factors(*[ 5 ] * 8), "full") }.message)
    assert_match(/A factor has a name and levels/, refusal { Design.for([ 7 ], "full") }.message)
  end
end
