require "test_helper"

# Where faults come back, and when there are too few to tell.
class RecurrenceTest < CoreTest
  Recurrence = Rhexon::Faults::Recurrence

  # @param rows [Array<Array(Integer, Integer, Hash)>] works, faulty ones, by what
  def recurrence(*rows, fault: nil)
    works = rows.flat_map do |count, faulty, by|
      Array.new(count) { |index| Recurrence::Work.new(faults: index < faulty ? [ "runs" ] : [], by: by) }
    end
    Recurrence.new(works, fault: fault)
  end

  def told(made, by) = made.groups.select { |one| one.by == by }.to_h { |one| [ one.value, one.told ] }

  # Wilson (1927): 0 of 10 is 0 to 0.2775, 5 of 10 is 0.2366 to 0.7634.
  def test_intervals_of_shares
    known = { [ 0, 10 ] => [ 0, 0.2775 ], [ 5, 10 ] => [ 0.2366, 0.7634 ], [ 10, 10 ] => [ 0.7225, 1 ] }
    known.each do |given, expected|
      expected.zip(Rhexon::Statistics::Share.interval(*given)) { |wanted, got| assert_in_delta wanted, got, 1e-4 }
    end
  end

  def test_what_stands_out_and_what_does_not
    made = recurrence([ 20, 10, { "person" => "osei", "product" => "w20" } ],
                      [ 40, 2, { "person" => "imke", "product" => "w20" } ])
    assert_equal({ "osei" => "more", "imke" => "less" }, told(made, "person"))
    assert_empty told(made, "product"), "one product alone is held against nothing"
    assert_in_delta 0.2, made.whole.share, 1e-9
  end

  def test_too_few_tell_nothing_however_bad
    made = recurrence([ 5, 5, { "person" => "osei" } ], [ 40, 2, { "person" => "imke" } ])
    assert_equal({ "osei" => "too_few", "imke" => "too_few" }, told(made, "person"))
    near = recurrence([ 20, 2, { "person" => "osei" } ], [ 20, 1, { "person" => "imke" } ])
    assert_equal({ "osei" => "alike", "imke" => "alike" }, told(near, "person"))
  end

  def test_one_fault_is_counted_by_itself
    made = recurrence([ 20, 10, { "person" => "osei" } ], [ 40, 2, { "person" => "imke" } ], fault: "fish_eyes")
    assert_equal 0, made.whole.faulty
    assert_equal [ [ "runs", 12 ] ], recurrence([ 60, 12, {} ]).faults.map { |one| [ one.value, one.faulty ] }
    assert_equal "too_few", recurrence.whole.told
  end

  def test_bands_of_air
    air = Struct.new(:t_c, :rh)
    assert_equal({ "warmth" => "below 16 °C", "damp" => "60 % RH and above" }, Recurrence.air(air.new(15.9, 60)))
    assert_equal({ "warmth" => "22 °C and above", "damp" => "40 to 60 % RH" }, Recurrence.air(air.new(22, 40)))
  end
end
