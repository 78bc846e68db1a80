require "test_helper"

# Effects, designs, blind pairs and judging, by hand.
class EffectsTest < CoreTest
  Effects = Rhexon::Boards::Effects
  FACTORS = [
    { "name" => "sealer", "levels" => [ "one coat", "two coats" ] }, { "name" => "dye", "levels" => %w[weak strong] }
  ].freeze

  def cell(levels, value, block = "a") = { "levels" => levels, "value" => value, "block" => block }

  def found(result, factor, with = nil)
    result.effects.find { |effect| effect.factor == factor && effect.with == with }
  end

  # 2 x 2 on two boards. Means of cells over boards: 3, 1.5, 3.5, 2.25. Sealer: (1.5 + 2.25 - 3 - 3.5) / 2 = -1.375;
  # dye: (3.5 + 2.25 - 3 - 1.5) / 2 = 0.625; together: (3 + 2.25 - 1.5 - 3.5) / 2 = 0.125. Boards differ by 0.25 on
  # the mean; residuals ±0.25 (board a less board b: 0, -0.5, 0, -0.5 about -0.25):
  # each deviation 0.125, eight of them: SS 0.125, 3 degrees of freedom, sd 0.20412; t 3.18245; half width = 3.18245 ·
  # 0.20412 · sqrt(4 · / 8) = 0.45935.
  def test_a_factorial_on_two_boards_by_hand
    runs = [
      [ [ 0, 0 ], 3.0, 3.0 ], [ [ 1, 0 ], 1.25, 1.75 ], [ [ 0, 1 ], 3.5, 3.5 ], [ [ 1, 1 ], 2.0, 2.5 ]
    ].flat_map { |levels, a, b| [ cell(levels, a, "a"), cell(levels, b, "b") ] }
    result = Effects.for(FACTORS, runs)
    assert_in_delta(-1.375, found(result, "sealer").size, 1e-9)
    assert_in_delta 0.625, found(result, "dye").size, 1e-9
    assert_in_delta 0.125, found(result, "sealer", "dye").size, 1e-9
    assert_equal 3, result.degrees_of_freedom
    assert_in_delta 0.204124, result.error_sd, 1e-6
    assert_in_delta 0.45935, found(result, "sealer").high - found(result, "sealer").size, 1e-4
    assert_equal %w[certain certain cannot_tell],
                 [ found(result, "sealer"), found(result, "dye"), found(result, "sealer", "dye") ].map(&:significance)
    assert_equal "sealer: two coats instead of one coat: blotch down 1.4 (0.9 to 1.8)",
                 Rhexon::Boards::Request.label(found(result, "sealer"), "blotch")
    assert_match(/\Asealer and dye together: cannot tell, blotch up 0\.1 \(-0\.3 to 0\.6\)/,
                 Rhexon::Boards::Request.label(found(result, "sealer", "dye"), "blotch"))
  end

  def test_without_replicates_chance_cannot_be_told_from_effect
    result = Effects.for(FACTORS, [ cell([ 0, 0 ], 3), cell([ 1, 0 ], 1), cell([ 0, 1 ], 3.5), cell([ 1, 1 ], 2) ])
    assert_equal [ "no_replicate" ], result.effects.map(&:significance).uniq
    assert_match(/no replicate: cannot tell chance from effect/,
                 Rhexon::Boards::Request.label(result.effects.first, "blotch"))
    same_board = Effects.for(
      FACTORS, [ cell([ 0, 0 ], 3), cell([ 0, 0 ], 3.4), cell([ 1, 0 ], 1), cell([ 0, 1 ], 3.5), cell([ 1, 1 ], 2) ]
    )
    assert_equal 0, same_board.degrees_of_freedom, "two cells on one board are no replicate"
  end

  def test_a_ruined_cell_takes_the_interaction_with_it
    result = Effects.for(FACTORS, [ cell([ 0, 0 ], 3), cell([ 1, 0 ], 1), cell([ 0, 1 ], 3.5), cell([ 1, 1 ], nil) ])
    assert_in_delta(-2, found(result, "sealer").size, 1e-9)
    assert_match(/sealer with dye cannot be told .* \(1 ruined or not read\)/, result.lost.first)
    assert_match(/1 readings cannot show/,
                 refusal { Effects.for(FACTORS, [ cell([ 0, 0 ], 3), cell([ 1, 0 ], nil) ]) }.message)
  end

  def test_three_levels_each_against_the_first
    factors = [ { "name" => "cut", "levels" => %w[1 2 3] } ]
    result = Effects.for(factors, [ cell([ 0 ], 1), cell([ 1 ], 2), cell([ 2 ], 4) ])
    assert_equal [ [ "3", 3.0 ], [ "2", 1.0 ] ], result.effects.map { |effect| [ effect.to, effect.size.round(9) ] }
  end

  # --- blind pairs

  # Two cells, picked 3 to 1, half a win added each way: odds 3.5 / 1.5, ln 0.8473, shared evenly; information 5 · 0.7
  # · 0.3 = 1.05, sd of the difference 1 / sqrt(1.05), half of it each.
  def test_bradley_terry_of_two_by_hand
    picks = [ %w[a b], %w[a b], %w[b a], %w[a b] ]
    first, second = Rhexon::Boards::Pairs.strengths(%w[a b], picks)
    assert_equal [ "a", 3, 1 ], [ first.id, first.wins, first.losses ]
    assert_in_delta Math.log(3.5 / 1.5) / 2, first.strength, 1e-6
    assert_in_delta(-first.strength, second.strength, 1e-9)
    assert_in_delta 0.5 / Math.sqrt(1.05), first.sd, 1e-6
  end

  def test_a_clean_sweep_stays_finite_and_few_picks_do_not_make_a_winner
    few = [ %w[a b], %w[a c], %w[b c] ]
    strengths = Rhexon::Boards::Pairs.strengths(%w[a b c], few)
    assert_equal %w[a b c], strengths.map(&:id)
    assert strengths.all? { |found| found.strength.finite? }
    refute Rhexon::Boards::Pairs.ahead?(%w[a b c], few)
    assert Rhexon::Boards::Pairs.ahead?(%w[a b], Array.new(12) { %w[a b] })
  end

  def test_every_pair_is_shown_once_in_an_order_of_its_own
    order = Rhexon::Boards::Pairs.order((1..5).to_a, 3)
    assert_equal 10, order.map(&:sort).uniq.size
    assert_equal order, Rhexon::Boards::Pairs.order((1..5).to_a, 3)
    refute_equal order, Rhexon::Boards::Pairs.order((1..5).to_a, 4)
  end

  # --- judging

  # Colour 1 off: 0.9; blotch 1: 0.8; look 0.85. Hands 30 of 30 to 60: 1; 60: 0. Weights 3 and 1.
  def test_a_weighted_score_by_hand
    cells = {
      1 => { "delta_e" => 1.0, "blotch" => 1, "hands_min" => 60 },
      2 => { "delta_e" => 6, "blotch" => 2, "hands_min" => 30 }
    }
    first, second = Rhexon::Boards::Judging.new(cells, { "look" => 3, "hands" => 1, "cost" => 1 }).verdicts
    assert_equal [ 1, [ "cost" ] ], [ first.id, first.missing ]
    assert_in_delta 3 * 0.85 / 4, first.score, 1e-9
    assert_in_delta (3 * 0.3 + 1) / 4, second.score, 1e-9
    assert first.frontier && second.frontier
  end

  def test_beaten_in_everything_is_told_and_off_the_frontier
    cells = {
      1 => { "blotch" => 1, "hands_min" => 30 }, 2 => { "blotch" => 3, "hands_min" => 50 },
      3 => { "blotch" => 0, "hands_min" => 60 }
    }
    verdicts = Rhexon::Boards::Judging.new(cells, { "look" => 1 }).verdicts
    assert_equal({ 3 => nil, 1 => nil, 2 => 1 }, verdicts.to_h { |verdict| [ verdict.id, verdict.beaten_by ] })
    assert_equal [ 3, 1 ], verdicts.select(&:frontier).map(&:id)
    assert_in_delta 0.7, Rhexon::Boards::Judging.mapped("delta_e", 2), 1e-9
    assert_in_delta 0.9, Rhexon::Boards::Judging.mapped("gloss", 38, gloss: [ 25, 35 ]), 1e-9
    assert_match(/nothing that is weighed/, refusal { Rhexon::Boards::Judging.new(cells, { "luck" => 1 }) }.message)
  end

  # Two timbers a replicate, one 5 darker: with the runs dealt over both, what dye and coats do comes out as it was
  # put in, and the timber is no error.
  def test_boards_that_hold_a_part_of_the_cells_each_are_taken_out
    runs = [ 0, 1 ].repeated_permutation(3).to_a
    dealt = Rhexon::Boards::Design.dealt(runs, 2)
    noise = [ 0.1, -0.1, 0.05, -0.05, 0.0, 0.1, -0.1, 0.0 ]
    given = [ 1, 2 ].flat_map do |replicate|
      dealt.each_with_index.flat_map do |places, part|
        places.map do |place|
          {
            "levels" => runs[place], "block" => "board #{replicate}#{part}",
            "value" => 2.0 * runs[place][0] - 1.0 * runs[place][1] + 5.0 * part + 0.3 * replicate +
              noise[place] * (replicate == 1 ? 1 : -1)
          }
        end
      end
    end
    factors = %w[dye cut coats].map { |name| { "name" => name, "levels" => %w[low high] } }
    found = Rhexon::Boards::Effects.for(factors, given)
    assert_equal 6, found.degrees_of_freedom,
                 "16 readings less 4 boards, 8 treatments, but for 2 pairs of boards that are not joined: 16 - (4 + " \
                 "8 - 2)"
    dye, cut = %w[dye cut].map { |name| found.effects.find { |effect| effect.factor == name && effect.with.nil? } }
    assert_in_delta 2.0, dye.size, 0.15
    assert_in_delta(-1.0, cut.size, 0.15)
    assert_equal %w[certain certain], [ dye, cut ].map(&:significance)
    assert_operator found.error_sd, :<, 0.25
  end
end
