require "test_helper"

# The look of what was there before: woods that were read, old colour, somebody's coats, unknown finishes.
class FoundLookTest < CoreTest
  SHELF = PRODUCTS.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }.freeze

  def elm = Rhexon::Colour::Wood.for_species("elm")

  def labs(*steps, wood: elm, **found)
    Rhexon::Colour::Looks.new(wood, steps, SHELF, found: found.transform_keys(&:to_s)).stages
      .map { |stage| stage.look.lab }
  end

  def near(wanted, found, within = 0.05) = wanted.zip(found).each { |one, two| assert_in_delta one, two, within }

  def test_colour_left_in_pores_darkens_open_woods_more_than_closed_ones
    darker = %w[ash maple].map do |species|
      wood = Rhexon::Colour::Wood.for_species(species)
      wood.lab[0] - labs(wood: wood, is: "stripped", colour_left: true).first[0]
    end
    assert_operator darker[0], :>, darker[1]
    assert_operator darker[1], :>, 0.5
    near elm.lab, labs(is: "stripped", colour_left: false).first
  end

  def test_a_reading_of_what_was_stripped_is_its_wood
    read = Rhexon::Colour::Wood.timber("elm", "mean", lab: [ 52.0, 10.0, 20.0 ])
    near [ 52.0, 10.0, 20.0 ], labs(wood: read, is: "stripped", colour_left: true, lab: [ 52.0, 10.0, 20.0 ]).first
  end

  def test_somebody_s_coat_is_seen_over_the_wood_as_our_own_would_be
    ours = labs(coat("s1", product: "varnish", method: "brush", wet_um: 80)).last
    um = Rhexon::Film::Coat.dry_um(80, SHELF["varnish"].solids_volume_percent.value)
    near ours, labs(is: "coated", product: "varnish", um: um).first
  end

  def test_an_old_finish_that_was_read_keeps_its_colour_until_it_is_off
    strip = step("s1", "strip", way: "scraping")
    found = { is: "unknown", coats: 3, lab: [ 30.0, 18.0, 20.0 ] }
    before, after = labs(strip, **found)
    near [ 30.0, 18.0, 20.0 ], before
    near elm.lab, after, 0.2
  end

  def test_an_old_varnish_nobody_read_is_yellower_than_a_fresh_one
    old = labs(is: "unknown", family: "cross_linked", um: 60).first
    fresh = labs(coat("s1", product: "varnish", method: "brush", wet_um: 125)).last
    assert_operator old[2] - old[0], :>, fresh[2] - fresh[0]
  end

  def test_a_wood_without_figures_is_known_by_a_reading_or_by_the_nearest_kind
    steps = document(coat("s1"))
    of = ->(found: nil, like: nil) {
      face = { "id" => "show", "area_m2" => 1.0, "wood" => "open", **(found ? { "found" => found } : {}) }
      shop = shop_json(piece(steps).merge("faces" => [ face ], "wood" => "padauk", "wood_like" => like))
      Rhexon::Planning::Shop.new(shop).pieces.first.timber("show")
    }
    assert_nil of.call
    near [ 45.0, 30.0, 25.0 ], of.call(found: { "is" => "bare", "lab" => [ 45.0, 30.0, 25.0 ] }).lab
    assert_equal "mahogany", of.call(like: "mahogany").species
    assert_match(/one that has colour figures. Accepted: alder/, refusal { of.call(like: "brass") }.message)
  end

  # 60 µm, of which a third is left.
  def test_what_is_left_of_an_old_finish_stays_in_film_and_look
    strip = step("s1", "strip", way: "scraping", leaves_percent: 33)
    face = { "id" => "show", "area_m2" => 1.0, "wood" => "open",
             "found" => { "is" => "unknown", "um" => 60, "family" => "cross_linked" } }
    shop = Rhexon::Planning::Shop.new(shop_json(piece(document(strip)).merge("faces" => [ face ])))
    film = Rhexon::Search::Planner.plan(shop).film("top", "show").final
    assert_in_delta 19.8, film.total_um, 0.01
    kept = labs(strip, is: "unknown", um: 60, lab: [ 30.0, 18.0, 20.0 ]).last
    near [ 30.0, 18.0, 20.0 ], kept
  end
end
