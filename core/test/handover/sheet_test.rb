require "test_helper"

# At the air of the sheet what is handed over follows the sheet's own figures: waterborne two part stacks after 16 h
# and is fully cured after 14 days (classes.yml).
class HandoverSheetTest < CoreTest
  include ShopHelper

  DAY = 1440

  def sheet(*steps, **fields)
    record = piece(document(*steps, room: "bench"), **fields)
    @plan = plan(record)
    Rhexon::Handover::Sheet.new(@plan, "top")
  end

  def after(sheet)
    laid = @plan.of_piece("top").select { |placed| placed.pass.product }.last.work_end
    sheet.dates.to_h { |from| [ from.id, from.at && from.at - laid ] }
  end

  def test_furniture_by_shares_of_full_cure_at_the_air_of_the_sheet
    expected = { "dust_safe" => 13, "touch" => 25, "light_use" => 2016, "normal_use" => 7 * DAY, "wash" => 12_096,
                 "cover" => 14 * DAY, "full_cure" => 14 * DAY }
    found = after(sheet(coat("s1")))
    assert_equal expected.keys, found.keys
    expected.each { |id, minutes| assert_in_delta minutes, found.fetch(id), 2, id }
  end

  def test_a_floor_has_dates_of_its_own
    found = after(sheet(coat("s1"), use: "floor"))
    assert_equal %w[dust_safe socks shoes furniture normal_use rugs wash full_cure], found.keys
    assert_in_delta 1008, found["socks"], 2 # 5 % of 14 d, later than "handle" after 4 h
    assert_in_delta 3024, found["shoes"], 2
    assert_in_delta 6048, found["furniture"], 2
  end

  def test_cold_makes_all_of_it_later_and_none_is_before_the_one_before_it
    warm = after(sheet(coat("s1")))
    @plan = plan(piece(document(coat("s1"), room: "bench")), t_c: 12)
    cold = after(Rhexon::Handover::Sheet.new(@plan, "top"))
    # Arrhenius 50 kJ/mol from 20 to 12 degrees: 1.78 times.
    assert_in_delta 1.78, cold["full_cure"] / warm["full_cure"].to_f, 0.02
    assert_equal cold.values.sort, cold.values
  end

  def test_nothing_is_used_before_the_last_work_on_it_is_done
    found = sheet(coat("s1"), step("s2", "rub_out", grits: %w[P1000 P1500]))
    dates = found.dates.to_h { |from| [ from.id, from.at ] }
    assert_operator dates["touch"], :<, found.finished_at
    assert_operator dates["light_use"], :>=, found.finished_at
  end

  def test_what_lies_on_it_in_order_with_its_coats
    layers = sheet(step("s0", "stain", product: "russet", method: "wipe"), coat("s1", product: "seal", role: "seal"),
                   coat("s2", coats: 3)).layers
    assert_equal [ [ "stain", 1, false ], [ "seal", 1, false ], [ "top", 3, false ] ],
                 layers.map { |layer| [ layer.role, layer.coats, layer.done ] }
    assert_equal "Waterborne, two part", layers.last.family
    assert_equal layers.map(&:at).sort, layers.map(&:at)
  end

  def test_care_is_of_what_lies_on_top_and_of_the_use
    care = sheet(coat("s1", product: "seal", role: "seal"), coat("s2", product: "varnish", method: "brush", wet_um: 85),
                 use: "marine").care
    assert_equal [ "oil varnish" ], care.names
    assert_equal 12, care.months
    assert_match(/Standing water, and wet pots/, care.never.first)
    assert_match(/rinse it with fresh water/, care.never[1])
    indoors = sheet(coat("s2", product: "varnish", method: "brush", wet_um: 85), use: "table_top").care
    assert_nil indoors.months, "varnish indoors is renewed as it wears"
    assert_match(/mats under hot/, indoors.clean.last)
  end

  def test_every_class_that_is_laid_on_top_has_a_family_and_one_alone
    tops = Rhexon::Reference.uses.resists.keys
    families = Rhexon::Reference.care.families.values.flat_map { |family| family["classes"] }
    assert_empty tops - families
    assert_equal families.uniq, families
    minded = Rhexon::Reference.care.until_cured.flat_map { |row| row["classes"] }
    assert_empty families - minded
  end

  def test_nothing_is_told_of_a_piece_without_a_coat
    empty = sheet(step("s1", "sand", grits: %w[P120 P180]))
    assert_equal [ [], [], [] ], [ empty.layers, empty.dates, empty.care.names ]
  end
end
