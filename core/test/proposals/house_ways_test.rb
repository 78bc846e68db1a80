require "test_helper"
require_relative "../good/workshop"

# What the house's schools change of the steps that are offered.
class HouseWaysTest < CoreTest
  include Workshop

  THINNABLE = { "id" => "bar", "name" => "Thinnable varnish", "class" => "oil_varnish", "role" => "top coat",
                "thinning_range_percent" => [ 0, 20 ] }.freeze
  DEWAXED = { "id" => "flake", "name" => "Dewaxed flake", "class" => "shellac", "role" => "top coat" }.freeze
  WAXY = { "id" => "amber", "name" => "Waxy flake", "class" => "shellac", "role" => "top coat", "waxy" => true }.freeze

  def offers(*lines, after: lines.size, house: {}, shelf: products, **piece)
    steps = lines.each_with_index.map { |line, index| step_of(line, "s#{index + 1}") }
    made = plan(piece(document(*steps, house: house), **piece), products: shelf)
    place = Rhexon::Proposals::Place.new(made, "top", after.zero? ? nil : "s#{after}")
    Rhexon::Proposals::NewSteps.new(place).all.to_h { |offer| [ offer.id, offer ] }
  end

  def likely(*lines, **options) = offers(*lines, **options).values.select(&:likely).map(&:id)
  def fresh(id, *lines, **options) = offers(*lines, **options).fetch(id).step

  def test_a_scraper_is_likely_where_the_house_scrapes
    refute_includes likely, "scrape"
    assert_includes likely(house: { "smoothing" => "scrape" }), "scrape"
  end

  def test_pores_are_closed_by_the_way_of_the_house
    ways = ->(way) { likely("sand P180", wood: "open", house: { "pores" => way }) & %w[fill slurry] }
    assert_equal [ %w[fill], %w[slurry], [], [] ], %w[filler slurry leave build].map(&ways)
  end

  def test_filler_goes_before_or_after_the_colour
    lines = [ "sand P180", "stain umber", "coat varnish brush 3" ]
    at = ->(after, way) { likely(*lines, after: after, wood: "open", house: { "filler_when" => way }).include?("fill") }
    assert_equal [ false, true ], [ at.(1, "after"), at.(2, "after") ]
    assert_equal [ true, false ], [ at.(1, "before"), at.(2, "before") ]
  end

  def test_oil_under_a_film_is_a_school
    lines = [ "sand P180", "coat varnish brush 3" ]
    refute_includes likely(*lines, after: 1), "oil"
    assert_includes likely(*lines, after: 1, house: { "oil_first" => "yes" }), "oil"
    assert_includes likely("sand P180"), "oil", "oil by itself is no school"
  end

  def test_the_first_film_is_a_sealer_or_the_top_coat_thinned
    shelf = [ THINNABLE, DEWAXED.merge("role" => "sealer") ]
    sealed = ->(house) { fresh("seal", "sand P180", shelf: shelf, house: house) }
    assert_equal [ "flake", nil ], sealed.({}).values_at("product", "thinning")
    assert_equal [ "bar", { "percent" => 20, "of" => "base" } ],
                 sealed.("first_coat" => "thinned").values_at("product", "thinning")
  end

  def test_shellac_for_polishing_is_with_or_without_its_wax
    laid = ->(way) { fresh("coat", "sand P180", shelf: [ DEWAXED, WAXY ], house: { "polish_shellac" => way }) }
    assert_equal %w[flake amber], %w[dewaxed waxy].map { |way| laid.(way)["product"] }
  end

  def test_the_show_face_is_laid_on_last_or_first
    faces = [ { "id" => "top", "area_m2" => 1 }, { "id" => "under", "kind" => "back", "area_m2" => 1 } ]
    order = ->(way) { fresh("coat", faces: faces, house: { "face_order" => way })["faces"] }
    assert_equal [ nil, %w[under top], %w[top under] ], %w[listed last first].map(&order)
    assert_nil fresh("coat", house: { "face_order" => "last" })["faces"], "one face has no order"
  end

  # Texture 12 to 20 µm to 25 GU: wool would do it in one.
  def test_film_is_rubbed_without_wool_where_the_house_has_none
    grits = %w[P400 P600 P800 P1000 P1200 wool-0000]
    paper = [ { "id" => "p", "name" => "paper", "unit" => "sheets", "wear" => [ { "grits" => grits } ] } ]
    rungs = ->(way) {
      steps = [ step_of("coat bright spray 5", "s1") ]
      made = plan(piece(document(*steps, house: { "pads" => way }), wanted: { "gu" => [ 20, 30 ] }),
                  products: products, consumables: paper)
      place = Rhexon::Proposals::Place.new(made, "top", "s1")
      Rhexon::Proposals::NewSteps.new(place).all.find { |offer| offer.id == "rub_out" }.step["grits"]
    }
    assert_includes rungs.("either"), "wool-0000"
    refute_includes rungs.("synthetic"), "wool-0000"
  end

  # Every offer of every school can be added and planned.
  def test_all_offers_of_all_schools_are_sound
    Rhexon::Planning::Schools.names.each do |name|
      next if Rhexon::Planning::Schools.of_the_shop.include?(name)

      Rhexon::Planning::Schools.options(name).each do |way|
        offers("sand P180", wood: "open", house: { name => way }).each_value do |offer|
          next unless offer.step

          after = Rhexon::Schedule::Edit.apply(
            document(step_of("sand P180", "s1"), house: { name => way }),
            { "op" => "add_step", "after" => "s1", "step" => offer.step }
          )
          assert_empty plan(piece(after, wood: "open"), products: products).build.blocked, "#{name} #{way} #{offer.id}"
        end
      end
    end
  end
end
