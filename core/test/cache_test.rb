require "test_helper"

# What was made lately, by what it was made from.
class CacheTest < CoreTest
  def test_a_value_is_made_once_nil_as_well
    made = 0
    cache = Rhexon::Cache.new(3)
    2.times { cache.fetch(:a) { (made += 1) && nil } }
    assert_equal 1, made
  end

  def test_the_oldest_goes_first
    cache = Rhexon::Cache.new(2)
    %i[a b c].each { |key| cache.fetch(key) { key } }
    assert_equal [ false, true, true ], %i[a b c].map { |key| cache.key?(key) }
  end

  def test_what_was_used_lately_stays_where_that_is_asked_for
    cache = Rhexon::Cache.new(2, lately_used: true)
    %i[a b a c].each { |key| cache.fetch(key) { key } }
    assert_equal [ true, false, true ], %i[a b c].map { |key| cache.key?(key) }
  end

  def test_nothing_is_kept_of_what_fails
    cache = Rhexon::Cache.new(2)
    assert_raises(RuntimeError) { cache.fetch(:a) { raise "no" } }
    assert_equal 7, cache.fetch(:a) { 7 }
  end

  # Two threads at once: both get the one that was kept first, and never more than the most are there.
  def test_threads_share_it
    cache = Rhexon::Cache.new(10)
    values = 8.times.map { Thread.new { 200.times.map { |at| cache.fetch(at % 20) { Object.new } } } }.flat_map(&:value)
    assert_equal 1600, values.size
    assert_operator cache.size, :<=, 10
    one = Rhexon::Cache.new(1)
    both = 2.times.map { Thread.new { one.fetch(:a) { Thread.pass || Object.new } } }.map(&:value)
    assert_same both[0], both[1]
  end
end
