require "test_helper"

class SectionsTest < CoreTest
  Sections = Rhexon::Areas::Sections

  def sections(*rectangles, exit: [ 0, 0 ], limit_m: 3.5, rate_m2_per_h: 30, ml_per_m2: 100, **fields)
    Sections.new(rectangles, exit: exit, limit_m: limit_m, rate_m2_per_h: rate_m2_per_h, ml_per_m2: ml_per_m2, **fields)
  end

  # 0.7 · 30 m²/h · 10 min / 0.25 m = 14 m with a roller; a brush at 7 m²/h and 0.1 m: 8.17 m.
  def test_how_long_an_edge_stays_wet
    assert_in_delta 14.0, Rhexon::Areas::WetEdge.longest_m(rate_m2_per_h: 30, open_min: 10, strip_m: 0.25), 1e-9
    assert_in_delta 8.1667, Rhexon::Areas::WetEdge.longest_m(rate_m2_per_h: 7, open_min: 10, strip_m: 0.1), 1e-4
  end

  # Open time shortens with the drying power of the air and is never longer than on the sheet.
  def test_open_time_in_this_air
    product = Rhexon::Materials::Product.new("id" => "floor", "class" => "waterborne_one_part")
    air = ->(t_c, rh) { Rhexon::Areas::WetEdge.open_min(product, Rhexon::Drying::Climate.new(t_c: t_c, rh: rh)) }
    assert_in_delta 8.0, air.call(20, 50), 1e-9
    assert_in_delta 8.0, air.call(14, 70), 1e-9
    assert_operator air.call(28, 35), :<, 6
  end

  # 10 m long at 3.5 m an edge: three sections of 3.33 m, the farthest from the door first, 26.7 min each.
  def test_a_hall_is_cut_and_ends_at_the_door
    hall = sections([ 0, 0, 10, 4 ])
    assert_equal 3, hall.all.size
    assert_equal [ 6.667, 3.333, 0.0 ], hall.all.map { |section| section.rectangle.x.round(3) }
    assert_in_delta 3.333, hall.all.first.live_edge_m, 1e-3
    assert_in_delta 13.333 / 30 * 60, hall.all.first.minutes, 0.01
    assert_in_delta hall.all[1].begins_min, hall.all.first.minutes, 1e-9
    assert_in_delta 4000, hall.ml, 1e-6
    assert_in_delta 40, hall.area_m2, 1e-9
  end

  def test_no_section_has_a_longer_edge_than_stays_wet
    60.times do |seed|
      random = Random.new(seed)
      limit = random.rand(0.5..6.0)
      made = sections(
        [ 0, 0, random.rand(1.0..20.0), random.rand(1.0..20.0) ], limit_m: limit,
        strips: %w[ along x y ].sample(random: random)
      )
      assert made.all.all? { |section| section.live_edge_m <= limit + 1e-9 }, "seed #{seed}"
      assert_in_delta made.area_m2, made.all.sum(&:area_m2), 1e-6, "seed #{seed}"
    end
  end

  # Two rooms off a corridor with the exit: rooms first, corridor last, and it ends at the door.
  def test_rooms_come_before_the_corridor_that_leads_out
    house = sections([ 0, 0, 8, 1.2 ], [ 0, 1.2, 3, 3 ], [ 5, 1.2, 3, 3 ], exit: [ 0, 0.6 ], limit_m: 4)
    assert_equal [ 2, 1, 0, 0 ], house.all.map(&:of)
    assert_equal 0.0, house.all.last.rectangle.x
    assert_empty house.cut_off
    assert_equal [ 1 ], sections([ 0, 0, 2, 2 ], [ 9, 9, 2, 2 ]).cut_off
  end

  def test_what_cannot_be_is_refused
    assert_match(/at least one part/, refusal { sections }.message)
    assert_match(/is no rectangle/, refusal { sections([ 0, 0, 0, 4 ]) }.message)
    assert_match(/lie over each other/, refusal { sections([ 0, 0, 4, 4 ], [ 2, 2, 4, 4 ]) }.message)
    assert_match(/dries too fast/, refusal { sections([ 0, 0, 4, 4 ], limit_m: 0.1) }.message)
  end
end
