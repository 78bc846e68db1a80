require "test_helper"

# Published values of the distributions, and ranks by hand.
class DistributionsTest < CoreTest
  Normal = Rhexon::Statistics::Normal

  # Published quantiles of the normal distribution.
  def test_quantiles_of_the_normal_distribution
    { 0.75 => 0.67449, 0.9 => 1.28155, 0.975 => 1.95996, 0.1 => -1.28155 }.each do |share, value|
      assert_in_delta value, Normal.quantile(share), 1e-5
    end
    assert_in_delta 0.9, Normal.share(1.28155), 1e-5
  end

  # Half of a standard normal cut at zero: mean sqrt(2/π) = 0.79788, variance 1 - 2/π = 0.36338.
  def test_a_normal_cut_to_an_interval
    mean, variance = Normal.cut(0.0, Float::INFINITY)
    assert_in_delta 0.79788, mean, 1e-5
    assert_in_delta 0.36338, variance, 1e-5
    assert_nil Normal.cut(45.0, 46.0)
  end

  # Tables of t: 12.706 (1), 3.182 (3), 2.228 (10), 1.984 (100) at 97.5 %; 1.812 (10) at 95 %.
  def test_quantiles_of_t_against_the_table
    {
      [ 0.975, 1 ] => 12.706, [ 0.975, 3 ] => 3.182, [ 0.975, 10 ] => 2.228, [ 0.975, 100 ] => 1.984,
      [ 0.95, 10 ] => 1.812
    }.each do |(share, freedom), wanted|
      assert_in_delta wanted, Rhexon::Statistics::StudentT.quantile(share, freedom), 1e-3
    end
  end

  # Spearman by hand: ranks 1 2 3 4 5 against 2 1 4 3 5, sum of d² = 4: 1 - 6 · 4 / (5 · 24) = 0.8.
  def test_rank_correlation
    rank = Rhexon::Statistics::Rank
    assert_in_delta 0.8, rank.correlation([ 10, 20, 30, 40, 50 ], [ 2, 1, 4, 3, 5 ]), 1e-12
    assert_in_delta 0, rank.correlation([ 1, 1, 1 ], [ 1, 2, 3 ]), 1e-12
    assert_equal [ 1.5, 1.5, 3.0 ], rank.ranks([ 4, 4, 9 ])
  end
end
