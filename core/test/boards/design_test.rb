require "test_helper"

class DesignTest < CoreTest
  Design = Rhexon::Boards::Design

  def factors(*sizes)
    sizes.each_with_index.map do |size, at|
      { "name" => %w[dye sealer grit toner sheen method cut][at], "levels" => (1..size).map(&:to_s) }
    end
  end

  def columns(runs) = runs.transpose.map { |column| column.map { |level| level.zero? ? -1 : 1 } }

  def test_every_combination
    assert_equal [ [ 0, 0 ], [ 0, 1 ], [ 0, 2 ], [ 1, 0 ], [ 1, 1 ], [ 1, 2 ] ], Design.for(factors(2, 3), "full").runs
    assert_match(/128 cells are too many/, refusal { Design.for(factors(2, 2, 2, 2, 2, 2, 2), "full") }.message)
  end

  # Half of 2³ with C = AB: each main effect hides behind an interaction.
  def test_a_half_of_three_says_what_hides_behind_what
    half = Design.for(factors(2, 2, 2), "half")
    assert_equal [ [ 0, 0, 1 ], [ 0, 1, 0 ], [ 1, 0, 0 ], [ 1, 1, 1 ] ], half.runs
    assert_equal 3, half.resolution
    assert_equal [
      "dye cannot be told from sealer with grit together", "sealer cannot be told from dye with grit together",
      "grit cannot be told from dye with sealer together"
    ],
                 half.confounded
  end

  def test_fractions_are_balanced_and_orthogonal
    [
      [ "half", 4, 4 ], [ "half", 5, 5 ], [ "quarter", 5, 3 ], [ "quarter", 6, 4 ], [ "quarter", 7, 4 ]
    ].each do |kind, count, resolution|
      made = Design.for(factors(*[ 2 ] * count), kind)
      assert_equal 2**(count - (kind == "half" ? 1 : 2)), made.runs.uniq.size
      assert_equal resolution, made.resolution, "#{kind} of #{count}"
      columns(made.runs).combination(2).each { |one, other| assert_equal 0, one.zip(other).sum { |a, b| a * b } }
    end
    assert_empty Design.for(factors(2, 2, 2, 2, 2), "half").confounded
    assert_equal 3, Design.for(factors(2, 2, 2, 2), "half").confounded.size
  end

  # 8 of the 16 cells of 2⁴ can be chosen orthogonal; the search finds such a set, and the same each time.
  def test_a_subset_is_searched_and_as_good_as_orthogonal_where_there_is_one
    subset = Design.for(factors(2, 2, 2, 2), "subset", runs: 8)
    assert_in_delta 1.0, subset.efficiency, 1e-9
    assert_equal subset.runs, Design.for(factors(2, 2, 2, 2), "subset", runs: 8).runs
    mixed = Design.for(factors(3, 2, 4), "subset", runs: 12)
    assert_operator mixed.efficiency, :>, 0.95
    assert_equal 12, mixed.runs.uniq.size
    assert_match(/cannot tell 6 effects/, refusal { Design.for(factors(3, 2, 4), "subset", runs: 5) }.message)
  end

  def test_one_at_a_time_from_a_base
    made = Design.for(factors(2, 3), "one_at_a_time", base: [ 1, 0 ])
    assert_equal [ [ 1, 0 ], [ 0, 0 ], [ 1, 1 ], [ 1, 2 ] ], made.runs
    assert_match(/Interactions cannot be seen/, made.confounded.first)
  end

  def test_what_cannot_be_a_design_is_refused
    assert_match(/at least one thing to vary/, refusal { Design.for([], "full") }.message)
    assert_match(/needs 2 to 5 different levels/,
                 refusal { Design.for([ { "name" => "dye", "levels" => %w[1 1] } ], "full") }.message)
    assert_match(/A half needs at least 3 factors of two levels/,
                 refusal { Design.for(factors(2, 3, 2), "half") }.message)
    assert_match(/is not known/, refusal { Design.for(factors(2), "taguchi") }.message)
  end

  # 2^4 over two boards: the defining contrast is ABCD, so each board has four of each level and each pair of levels
  # as often as any other.
  def test_runs_over_two_boards_are_balanced_in_each_factor_and_each_pair
    runs = [ 0, 1 ].repeated_permutation(4).to_a
    boards = Rhexon::Boards::Design.dealt(runs, 2).map { |places| runs.values_at(*places) }
    boards.each do |board|
      4.times { |factor| assert_equal 4, board.count { |run| run[factor] == 1 } }
      (0..3).to_a.combination(2) do |one, other|
        assert_equal [ 2 ] * 4, board.map { |run| run.values_at(one, other) }.tally.values
      end
    end
    assert_equal runs.sort, boards.flatten(1).sort
  end

  # Half of 2^5 on two, four and eight boards, a full 2^4 on eight, and a subset of odd levels: on no board is a
  # factor at one level alone where that can be helped.
  def test_no_main_effect_lies_wholly_between_boards_where_it_can_be_helped
    half = Design.for(factors(2, 2, 2, 2, 2), "half").runs
    [ 2, 4, 8 ].each do |count|
      dealt = Design.dealt(half, count)
      assert_equal (0..15).to_a, dealt.flatten.sort
      assert_empty Design.between_boards(half, dealt, factors(2, 2, 2, 2, 2)), "#{count} boards"
      if count < 8
        5.times do |factor|
          dealt.each do |places|
            assert_equal places.size / 2, places.count { |place| half[place][factor] == 1 }, "#{count} boards"
          end
        end
      end
    end
    odd = Design.for(factors(3, 2, 4), "subset", runs: 12).runs
    assert_empty Design.between_boards(odd, Design.dealt(odd, 3), factors(3, 2, 4))
  end

  # Half of 2^3 on two boards of two cells: whatever the dealing, one factor has one level on each.
  def test_what_cannot_be_helped_is_said
    runs = Design.for(factors(2, 2, 2), "half").runs
    assert_match(/cannot be told from the boards/,
                 Design.between_boards(runs, Design.dealt(runs, 2), factors(2, 2, 2)).first)
    assert_empty Design.between_boards(runs, Design.dealt(runs, 1), factors(2, 2, 2))
  end
end
