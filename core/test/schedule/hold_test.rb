require "test_helper"

# What a measure that the plan holds for lets go on, and what it does not.
class HoldTest < CoreTest
  AIR = { "id" => "m1", "kind" => "measure", "way" => "air", "hold" => true }.freeze

  def product(class_id, **figures)
    Rhexon::Materials::Product.new({ "id" => "p", "name" => "Floor clear", "class" => class_id, **figures })
  end

  def air(readings, follows)
    Rhexon::Schedule::Hold.why(AIR, done: true, readings: readings, follows: follows) { flunk "moisture was asked" }
  end

  # One rule with climate.cold: 10 °C, or 3 °C above the minimum film temperature of 12 °C.
  def test_the_air_is_held_to_what_climate_cold_asks_for
    clear = product("waterborne_one_part")
    assert_equal [ 10, nil ], [ clear, product("shellac") ].map { |one| Rhexon::Drying::Application.least_c(one) }
    assert_match(/The air was 9.5 °C, 60 % RH, and Floor clear wants 10 °C at least/, air([ 9.5, 60 ], clear))
    assert_nil air([ 10, 60 ], clear)
    closes_late = product("waterborne_one_part", "minimum_film_c" => 12)
    assert_match(/wants 15 °C at least/, air([ 14 ], closes_late))
    assert_nil air([ 4 ], product("shellac"))
    assert_nil air([ 4 ], nil), "nothing is laid on after it"
  end

  def test_nothing_goes_on_until_it_is_read_nor_over_wet_wood
    held = ->(done, says) {
      verdict = Rhexon::Prep::Moisture::Verdict.new(mean: 18.0, spread: 0, target: 9.0, says: says)
      Rhexon::Schedule::Hold.why(AIR.merge("way" => "moisture"), done: done, readings: ([ 18 ] if done),
                                                                 follows: nil) { verdict }
    }
    assert_match(/comes first: the plan holds until it is read/, held.(false, nil))
    assert_match(/was 18.0 %, too wet to go on/, held.(true, "wet"))
    assert_nil held.(true, "right")
  end
end
