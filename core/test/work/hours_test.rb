require "test_helper"

# Hours against whole jobs as they are timed in a shop.
class HoursTest < CoreTest
  Hours = Rhexon::Work::Hours

  def extent(area_m2, hands: 1, products: {}, found: nil, **fields)
    faces = { "all" => { "id" => "all", "area_m2" => area_m2, "found" => found }.compact }
    piece = Rhexon::Planning::Piece.new(faces: faces, schedule: {}, **fields)
    Rhexon::Work::Extent.new(piece, [ "all" ], hands: hands, products: products)
  end

  # Minutes of hands, set-up and cleaning with them.
  def minutes(extent, *steps)
    steps.sum do |step|
      wiping = step["wipe_off"] ? Hours.wiping(step, extent) : 0
      Hours.setup(step) + Rhexon::Work::Kind.find(step["kind"]).minutes(step, extent) + wiping + Hours.cleanup(step)
    end
  end

  def sand(*grits, **fields) = { "kind" => "sand", "grits" => grits }.merge(fields.transform_keys(&:to_s))
  def strip(way) = { "kind" => "strip", "way" => way }
  def roll = { "kind" => "coat", "method" => "roller" }
  def flood(**fields)
    { "kind" => "stain", "method" => "wipe", "wipe_off" => true }.merge(fields.transform_keys(&:to_s))
  end

  # 1.2 m² at 3 m² an hour is 24 min a grit; 3 to set up, 1 to change the paper, 2 to take it up and turn it.
  def test_set_up_rate_and_handling
    assert_in_delta 3 + 1 + 2 * 24 + 2, minutes(extent(1.2), sand("P180", "P220")), 1e-9
    assert_in_delta 3 + 1 + 2 * 9 + 2, minutes(extent(1.2), sand("P180", "P220", machine: true)), 1e-9
    assert_in_delta 5 + 1.2 / 7 * 60 + 2 + 5, minutes(extent(1.2), { "kind" => "coat", "method" => "brush" }), 1e-9
  end

  def test_work_that_is_not_flat_takes_longer
    times = %w[flat frame profiled turned carved].map { |shape| minutes(extent(3.0, shape: shape), sand("P180")) - 5 }
    assert_equal [ 60, 84, 108, 120, 180 ], times.map(&:round)
    assert_in_delta 3 + 0.5 + 0.5, minutes(extent(0.002), sand("P180")), 1e-9, "never under the least"
  end

  def test_whole_jobs_take_as_long_as_in_a_shop
    chair = minutes(extent(0.9, shape: "turned"), strip("stripper"), sand("P120", "P180", "P220"))
    assert_includes 120..240, chair
    assert_includes 57..90, minutes(extent(0.17, shape: "carved"), sand("P120", "P150", "P180", "P220", "P320"))
    assert_includes 115..180, minutes(extent(1.7), strip("sanding"), sand("P120", "P180", "P220", machine: true))
  end

  def test_floors_have_rates_of_their_own
    floor = extent(110, use: "floor")
    helped = extent(110, use: "floor", hands: 2)
    # 110 / 90 h in the open, 43 m of wall at 120 m an hour; a second person cuts in meanwhile.
    assert_in_delta 73.3 + 21.5 + 15, minutes(floor, roll), 0.1
    assert_in_delta 73.3 + 15, minutes(helped, roll), 0.1
    assert_operator minutes(floor, flood(machine: true)), :<, 180
    assert_in_delta 110 / 40.0 * 60 + 6, minutes(helped, flood), 0.1
    # A grit: 440 min in the open, 129 along the walls, 6 in the corners.
    assert_in_delta 3 + 440 + 129 + 6, minutes(floor, sand("P80", machine: true)), 1
    sketched = extent(20, use: "floor", sketch: { "parts" => [ [ 0, 0, 5, 4 ] ], "tool" => "roller" })
    assert_in_delta 20 + 9 + 15, minutes(sketched, roll), 1e-6
  end

  def test_films_that_heat_does_not_lift_take_twice_as_long
    products = { "ep" => Rhexon::Materials::Product.new("id" => "ep", "class" => "epoxy_clear") }
    coated = extent(4.5, products: products, found: { "is" => "coated", "product" => "ep" })
    assert_in_delta 2 * 4.5 / 1.2 * 60 + 2 + 3, minutes(coated, strip("warm_scraping")), 1e-6
  end

  def test_what_is_typed_as_a_shape_is_worked_as_one
    form = ->(typed) { Rhexon::Areas::Dimensions.form(typed) }
    assert_equal %w[turned frame profiled flat frame],
                 [ "12 rods 25 x 900", "box 600 x 400 x 300", "profiled 600 x 400", "1600 x 750 mm",
                   "frame 2000 x 900 x 100 + 4 legs 20 x 300" ].map(&form)
  end
end
