require "test_helper"

# Colour figures of own stains and films from two readings: what is reckoned from them is the reading again.
class OwnOpticsTest < CoreTest
  def product(id, **fields) = Rhexon::Materials::Product.read({ "id" => id, **fields.transform_keys(&:to_s) })
  def wood(species) = Rhexon::Colour::Wood.for_species(species)

  def look(made, step, on)
    sanded = step("s0", "sand", grits: [ "P180" ])
    Rhexon::Colour::Looks.new(on, [ sanded, step ], { made.id => made }).final.look.lab
  end

  def with_optics(product, **options)
    Rhexon::Materials::Product.read(
      product.to_h.merge("optics" => Rhexon::Colour::OwnOptics.from(product, **options))
    )
  end

  def near(wanted, found, within) = wanted.zip(found).each { |one, two| assert_in_delta one, two, within }

  def test_a_stain_is_seen_again_as_it_was_read_whatever_its_strength
    tea = product("tea", name: "Tea", class: "water_dye")
    { 100 => {}, 50 => { strength_percent: 50 } }.each do |percent, fields|
      own = with_optics(tea, wood: wood("oak"), read: [ 48.0, 10.0, 24.0 ], percent: percent)
      stain = step("s1", "stain", product: "tea", method: "wipe", **fields)
      near [ 48.0, 10.0, 24.0 ], look(own, stain, wood("oak")), 0.1
    end
  end

  # Grit P180 leaves what the figures are for; a weaker mix of what was read at 100 % is paler.
  def test_half_of_it_lies_between
    tea = with_optics(product("tea", class: "water_dye"), wood: wood("oak"), read: [ 48.0, 10.0, 24.0 ])
    half = look(tea, step("s1", "stain", product: "tea", method: "wipe", strength_percent: 50), wood("oak"))[0]
    assert_operator half, :>, 50
    assert_operator half, :<, wood("oak").lab[0] - 3
  end

  def test_a_tinted_oil_is_seen_again_by_its_coats
    oil = product("oil", class: "hardwax_oil", colour: "tinted")
    own = with_optics(oil, wood: wood("larch"), read: [ 52.0, 18.0, 34.0 ], coats: 2, method: "wipe")
    coats = step("s1", "coat", product: "oil", method: "wipe", wet_um: 6, coats: 2, role: "top")
    near [ 52.0, 18.0, 34.0 ], look(own, coats, wood("larch")), 0.3
  end

  def test_what_leaves_the_wood_paler_has_no_colour_of_that_kind
    bleach = product("pale", name: "Pale", class: "water_dye")
    error = refusal { Rhexon::Colour::OwnOptics.from(bleach, wood: wood("walnut"), read: [ 75.0, 3.0, 15.0 ]) }
    assert_equal "read", error.where
    assert_match(/leaves the wood no darker/, error.message)
    assert_match(/L\*/, refusal { Rhexon::Colour::OwnOptics.from(bleach, wood: wood("oak"), read: [ 1 ]) }.message)
  end
end
