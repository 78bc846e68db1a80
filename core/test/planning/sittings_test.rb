require "test_helper"

# Quick coats in one sitting: set up once, by one person, in turn, nothing else in between.
class SittingsTest < CoreTest
  SPIRIT = { "id" => "spirit", "name" => "Spirit cut", "class" => "shellac",
             "milestones_min" => { "touch" => 1, "recoat_opens" => 5, "sand" => 15, "handle" => 15 } }.freeze

  def wiped(coats, **fields)
    step("s1", "coat", product: "spirit", method: "wipe", role: "build", wet_um: 25, coats: coats, **fields)
  end

  def made(*steps, others: [], area_m2: 0.03, **fields)
    plan(piece(document(*steps, support: "hung"), area_m2: area_m2), *others, products: PRODUCTS + [ SPIRIT ], **fields)
  end

  def mine(plan) = plan.of_piece("top")

  # Three minutes to set up and to clean once; each coat opens a little later than the one before, as the solvent of all
  # of them leaves together: an hour and a quarter in one piece.
  def test_eight_coats_are_one_sitting_with_one_set_up
    coats = mine(made(wiped(8)))
    assert_equal [ 3, *[ 0 ] * 7 ], coats.map { |one| one.pass.setup_min }
    assert_equal [ *[ 0 ] * 7, 3 ], coats.map { |one| one.pass.cleanup_min }
    assert_equal 14, coats.sum { |one| one.hands_end - one.hands_start }
    assert_operator coats.last.hands_end - coats.first.hands_start, :<=, 75
  end

  def test_nothing_of_others_comes_in_between
    others = %w[a b c].map { |id| piece(document(step("s1", "clean", way: "tack")), id: id, area_m2: 0.05) }
    plan = made(wiped(8), others: others)
    first, last = mine(plan).values_at(0, -1)
    between = plan.placements.select do |one|
      one.pass.piece.id != "top" && one.hands_start.between?(first.hands_start, last.hands_end)
    end
    assert_empty between
  end

  def test_it_does_not_begin_where_it_cannot_end_before_closing
    coats = mine(made(wiped(8), now: "2026-11-23T16:00+01:00"))
    assert_equal at("2026-11-24T07:30+01:00"), coats.first.hands_start
  end

  # Where nobody is there for so long it breaks at a coat.
  def test_a_sitting_that_is_longer_than_a_stretch_breaks_at_a_coat
    short = { "mon" => [ %w[08:00 08:40], %w[09:00 09:40] ], "tue" => [ %w[08:00 12:00] ] }
    coats = mine(made(wiped(12), week: short.transform_values { |hours| hours.first(2) }))
    assert_equal 12, coats.size
    assert_operator coats.count { |one| one.pass.sitting.nil? }, :>=, 1
  end

  def test_slow_coats_are_none_unless_a_hand_says_so_and_then_only_where_they_follow_soon
    setups = ->(**fields) { mine(made(wiped(3, **fields))).map { |one| one.pass.setup_min } }
    slow = ->(minutes) { [ SPIRIT.merge("milestones_min" => { "recoat_opens" => minutes }) ] }
    plans = ->(minutes, **fields) {
      plan(piece(document(wiped(3, **fields)), area_m2: 0.03), products: PRODUCTS + slow.(minutes)).of_piece("top")
        .map { |one| one.pass.setup_min }
    }
    assert_equal [ 3, 0, 0 ], setups.call
    assert_equal [ 3, 3, 3 ], setups.call(one_sitting: false)
    assert_equal [ 3, 3, 3 ], plans.(40)
    assert_equal [ 3, 0, 0 ], plans.(40, one_sitting: true)
    assert_equal [ 3, 3, 3 ], plans.(240, one_sitting: true)
  end

  # A padded film rests for a day after eight coats.
  def test_padding_rests_between_sessions
    padded = step("s1", "coat", product: "spirit", method: "pad", role: "build", wet_um: 12, coats: 16)
    days = mine(made(padded)).map { |one| Time.at(one.hands_start * 60).utc.day }
    assert_equal({ 23 => 8, 24 => 8 }, days.tally)
  end

  # Front and back of sprayed work on points: the gun is set up once a coat.
  def test_faces_of_one_coat_are_laid_one_after_the_other
    faces = %w[front back].map { |id| { "id" => id, "area_m2" => 0.9 } }
    sprayed = plan({ **piece(document(coat("s1", coats: 2), support: "points")), "faces" => faces }).of_piece("top")
    assert_equal [ 10, 0, 10, 0 ], sprayed.map { |one| one.pass.setup_min }
    assert_equal sprayed[0].hands_end, sprayed[1].hands_start
    turned = plan({ **piece(document(coat("s1"), support: "flat")), "faces" => faces }).of_piece("top")
    assert_equal [ 10, 10 ], turned.map { |one| one.pass.setup_min }
  end

  # Shellac may be recoated in 20 min: not by itself, where a hand says so; varnish never.
  def test_a_row_says_whether_its_coats_sit_together
    sits = ->(**step) {
      Rhexon::Picture::Sheet.new(plan(piece(document(coat("s1", coats: 3, **step)))), "top").rows.first.sits
    }
    refute sits.(product: "seal", method: "wipe", wet_um: 25)
    assert sits.(product: "seal", method: "wipe", wet_um: 25, one_sitting: true)
    assert sits.(product: "seal", method: "pad", wet_um: 12)
    assert_nil sits.(product: "varnish", method: "brush", wet_um: 85)
  end
end
