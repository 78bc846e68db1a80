require "test_helper"

class DrierTest < CoreTest
  LAID = "2026-11-23T07:43+01:00"

  def laid(document, looks: [], **fields)
    log = [ { "kind" => "done", "pass" => "top/s1/1/show", "at" => LAID } ]
    log += looks.map do |milestone, answer, clock|
      {
        "kind" => "dry_test", "pass" => "top/s1/1/show", "milestone" => milestone, "answer" => answer,
        "at" => "2026-11-23T#{clock}+01:00"
      }
    end
    made = plan(piece(document), log: log, now: "2026-11-23T16:00+01:00", **fields)
    [ made.drier, made.placements.first ]
  end

  def minutes(drier, placement, name, pair = nil)
    drier.reached(placement, name, pair)&.then { |found| found.reached_at - placement.work_end }
  end

  def test_milestones_that_a_material_lacks_fall_back_to_a_later_or_harder_one
    drier, placement = laid(document(step("s1", "stain", product: "russet", method: "wipe")))
    assert_equal 30, minutes(drier, placement, "sand"), "dye has no sand: touch"
    assert_equal 60, minutes(drier, placement, "stack"), "nor stack: handle"
  end

  def test_the_wait_of_a_pair_takes_the_place_of_recoat_opens
    drier, placement = laid(document(coat("s1")))
    pair = ->(minutes) { Rhexon::Materials::Figure.new(value: minutes, source: "its sheet", estimate: false) }
    assert_equal 30, minutes(drier, placement, "recoat_opens", pair.(30))
    assert_equal 300, minutes(drier, placement, "recoat_opens", pair.(300))
  end

  # 72 h is for estimates; a sheet's 6 h hold, a brisk school does not go below them and a cautious one goes beyond.
  def test_the_rub_out_of_a_sheet_is_not_held_to_the_floor
    sheet = PRODUCTS.map do |record|
      record["id"] == "w20" ? record.merge("milestones_min" => { "rub_out" => 360 }) : record
    end
    house = ->(school) {
      laid(document(coat("s1")), products: sheet,
                                 house: { "rub_out" => school }).then { |drier, placement|
        minutes(drier, placement, "rub_out")
      }
    }
    assert_equal [ 540, 360, 360 ], %w[cautious usual brisk].map(&house)
    drier, placement = laid(document(coat("s1")))
    assert_equal 4320, minutes(drier, placement, "rub_out")
  end

  # 20 minutes late on 90: what comes later is late in the same proportion, 240 · 110/90 = 293.3
  def test_a_late_coat_is_late_for_all_its_openings
    drier, placement = laid(document(coat("s1")),
                            looks: [ [ "recoat_opens", "not_yet", "09:20" ], [ "recoat_opens", "dry", "09:33" ] ])
    assert_equal 110, minutes(drier, placement, "recoat_opens")
    assert_equal 294, minutes(drier, placement, "handle")
    assert_equal at(LAID) + 720, drier.closes_at(placement)
  end

  def test_a_first_look_that_is_dry_says_nothing_about_lateness
    drier, placement = laid(document(coat("s1")), looks: [ [ "recoat_opens", "dry", "12:00" ] ])
    assert_equal 90, minutes(drier, placement, "recoat_opens")
    assert_equal 240, minutes(drier, placement, "handle")
  end

  def test_dry_for_a_later_milestone_is_dry_for_the_earlier_ones
    drier, placement = laid(document(coat("s1")), looks: [ [ "recoat_opens", "dry", "08:00" ] ])
    assert_equal 17, minutes(drier, placement, "touch")
    assert_equal 120, minutes(drier, placement, "sand"), "recoat says nothing about sanding"
  end

  def test_not_yet_looks_again_after_five_minutes_at_least
    lacquer = document(coat("s1", product: "seal", method: "brush", wet_um: 70))
    drier, placement = laid(lacquer, looks: [ [ "recoat_opens", "not_yet", "08:04" ] ])
    assert_equal 26, minutes(drier, placement, "recoat_opens"), "21 min after laying + 5; 15 % of 20 min would be 3"
  end

  # 30 min at the sheet's air; at 16 °C and 65 %: es(20) · 50 / (es(16) · 35) = 2.3383 · 50 / (1.8185 · 35) = 1.837
  def test_raised_grain_dries_like_water
    drier, = laid(document(coat("s1")))
    assert_kind_of Rhexon::Planning::MilestoneCalculator, drier
    wet = plan(piece(document(step("s1", "raise_grain"), step("s2", "sand", grits: [ "P220" ]))), t_c: 16, rh: 65)
    assert_equal (30 * 1.837).ceil, wet.placements.last.waits.first.then { |wait| wait.reached_at - wait.from }
  end
end
