require "test_helper"

# What a shop must be told though nothing of the plan looks wrong.
class AlarmsTest < CoreTest
  MORE = [
    { "id" => "two", "name" => "Two-part clear", "class" => "solvent_two_part", "source" => "its sheet" },
    { "id" => "part_b", "name" => "Hardener", "class" => "hardener" },
    { "id" => "white", "name" => "Antique white", "class" => "waterborne_one_part", "colour" => "pigmented" },
    { "id" => "grey", "name" => "Slate grey", "class" => "waterborne_one_part", "colour" => "pigmented" },
    { "id" => "iron", "name" => "Iron and vinegar", "class" => "water_dye", "colour" => "tinted" }
  ].freeze

  def made(*steps, found: nil, tools: nil, products: MORE, **fields)
    record = piece(document(*steps), **fields)
    record["faces"].first["found"] = found if found
    plan(record, products: PRODUCTS + products, **(tools ? { tools: tools } : {}))
  end

  def told(id, *steps, **fields) = findings(made(*steps, **fields), id)

  def test_no_gun_in_a_shop_that_lists_its_tools
    sander = [ { "id" => "sander", "for" => "roller" } ]
    stop = told("gear.no_gun", coat("s1", product: "lacquer"), tools: sander).first
    assert_equal "stop", stop.level
    brushed = told("gear.no_gun", coat("s1", product: "varnish"), tools: sander).first.remedies.first
    assert_equal "brush", brushed.operation.dig("set", "method")
    assert_empty told("gear.no_gun", coat("s1"))
    assert_empty told("gear.no_gun", coat("s1"), tools: [ { "id" => "gun", "for" => "spray" } ])
    assert_empty told("gear.no_gun", coat("s1", gun: "aerosol"), tools: sander)
  end

  def test_a_two_part_product_without_its_hardener
    assert_equal [ "caution" ], told("mix.no_hardener", coat("s1", product: "two")).map(&:level)
    mixed = MORE.map { |one| one["id"] == "two" ? one.merge("mix" => mix) : one }
    assert_empty told("mix.no_hardener", coat("s1", product: "two"), products: mixed)
    assert_equal [ "note" ], told("mix.no_hardener", coat("s1", product: "catalysed")).map(&:level), "no sheet yet"
    assert_empty told("mix.no_hardener", coat("s1"))
  end

  def mix = [ { "product" => "part_b", "parts" => 50, "of" => "base", "basis" => "volume", "role" => "hardener" } ]

  def test_white_over_tannin_stops_and_grey_is_noted
    over = ->(paint) { told("colour.tannin", coat("s1", product: paint), wood: "open").map(&:level) }
    oak = ->(paint) {
      record = piece(document(coat("s1", product: paint)), wood: "open").merge("wood" => "oak")
      findings(plan(record, products: PRODUCTS + MORE), "colour.tannin").map(&:level)
    }
    assert_empty over.("white"), "on a wood that nobody named"
    assert_equal [ [ "stop" ], [ "note" ] ], %w[white grey].map { |paint| oak.(paint) }
  end

  def cautions(*steps, **fields)
    Rhexon::Picture::Sheet.new(made(*steps, **fields), "top").rows.map { |row| row.cautions.map(&:id) }
  end

  def test_old_paint_may_hold_lead_whatever_it_is_sanded_with
    unknown = { "is" => "unknown", "state" => "sound" }
    sanded = step("s1", "sand", grits: %w[P120 P180])
    scuffed = step("s1", "level", grits: [ "P320" ], aim: "scuff")
    [ sanded, scuffed ].each { |first| assert_includes cautions(first, coat("s2"), found: unknown).first, "lead" }
    own = { "is" => "coated", "product" => "lacquer", "coats" => 2, "state" => "sound" }
    refute_includes cautions(scuffed, coat("s2"), found: own).first, "lead", "a clear finish that is known"
    refute_includes cautions(sanded, coat("s2")).first, "lead"
  end

  def test_chemical_colours_carry_their_caution_by_any_name
    assert_includes cautions(step("s1", "stain", product: "iron", method: "wipe"), coat("s2")).first, "chemical_colour"
    refute_includes cautions(step("s1", "stain", product: "russet", method: "wipe"), coat("s2")).first,
                    "chemical_colour"
  end
end
