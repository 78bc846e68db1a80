require "test_helper"
require "date"

class StockTest < CoreTest
  CLEAR = {
    "id" => "clear", "name" => "Clear", "class" => "waterborne_one_part", "density_g_per_ml" => 1.0,
    "packs" => [ { "ml" => 1000, "price" => 30 }, { "ml" => 5000, "price" => 120 } ]
  }.freeze

  def product(**fields) = Rhexon::Materials::Product.new(CLEAR.merge(fields.transform_keys(&:to_s)))

  # 1 m² at 100 µm sprayed: (142.86 + 60) · 1.1 = 223.1 ml.
  def shop(stock, area_m2: 1.0, consumables: [], products: [], steps: [ coat("s1", product: "clear") ])
    plan(piece(document(*steps), area_m2: area_m2), products: PRODUCTS + [ CLEAR ] + products, stock: stock,
                                                    consumables: consumables)
  end

  def test_the_least_cost_in_whole_packs
    words = ->(g) { Rhexon::Mixing::Packs.cover(g, product).map { |pack| [ pack.count, pack.words ] } }
    assert_equal [ [ 3, "1 L" ] ], words.call(2500)
    assert_equal [ [ 1, "5 L" ] ], words.call(4100), "five litres cost less than five times one"
    assert_equal [ [ 1, "5 L" ], [ 2, "1 L" ] ], words.call(6500)
    assert_empty words.call(0)
    assert_empty Rhexon::Mixing::Packs.cover(100, product(packs: []))
  end

  def clear_line(plan) = plan.shopping.lines.find { |line| line.product.id == "clear" }

  def test_what_runs_out_and_what_to_buy
    line = clear_line(shop([ { "id" => "b1", "product" => "clear", "g" => 150 } ], area_m2: 4.0))
    need = (400 / 0.7 + 60) * 1.1
    assert_in_delta need, line.need_g, 0.01
    assert_in_delta need - 150, line.short_g, 0.01
    assert_equal [ [ 1, "1 L" ] ], line.packs.map { |pack| [ pack.count, pack.words ] }
    assert_equal 30, line.cost
  end

  def test_stale_cans_and_kept_touch_ups_do_not_count
    stock = [
      { "id" => "old", "product" => "clear", "g" => 900, "expires_on" => "2026-11-22" },
      { "id" => "kept", "product" => "clear", "g" => 900, "kept" => true },
      { "id" => "good", "product" => "clear", "g" => 100, "expires_on" => "2026-11-23" }
    ]
    line = clear_line(shop(stock))
    assert_equal [ 100.0, 900.0 ], [ line.left_g, line.stale_g ]
  end

  def test_without_stock_records_nothing_is_said
    assert_nil plan(piece(document(coat("s1")))).shopping
  end

  # 4 m² of P180 at 0.5 discs a m², and a strainer for each of two coats.
  def test_consumables_wear_by_area_and_by_coat
    consumables = [ {
      "id" => "d180", "name" => "Discs P180", "unit" => "disc", "pack" => 50, "price" => 20, "left" => 1,
      "wear" => [ { "kinds" => [ "sand" ], "grits" => [ "P180" ], "per_m2" => 0.5 } ]
    },
                    {
                      "id" => "strainer", "name" => "Strainers", "unit" => "strainer", "pack" => 10, "left" => 10,
                      "wear" => [ { "methods" => [ "spray" ], "per_coat" => 1 } ]
                    },
                    {
                      "id" => "pad", "name" => "Pads", "unit" => "pad",
                      "wear" => [ { "methods" => [ "pad" ], "per_coat" => 1 } ]
                    } ]
    worn = shop([], area_m2: 4.0, consumables: consumables,
                    steps: [
                      step("s0", "sand", grits: [ "P180" ]), coat("s1", product: "clear", coats: 2)
                    ]).shopping.worn
    assert_equal [ [ "d180", 2.0, 1.0, 1, 20 ], [ "strainer", 2, 0, 0, nil ] ],
                 worn.map { |row| [ row.id, row.need, row.short, row.packs, row.cost ] }
  end

  # 4 m²: 0.7 sheets a m² of a rub-out, and two cloths of a filling.
  def test_a_rub_out_wears_what_levelling_wears_and_a_filling_what_a_stain_wears
    sheets = { "id" => "w", "name" => "Wet sheets P1000", "unit" => "sheet",
               "wear" => [ { "kinds" => %w[level], "grits" => %w[P1000], "per_m2" => 0.7 } ] }
    cloths = { "id" => "c", "name" => "Cloths", "unit" => "cloth",
               "wear" => [ { "kinds" => %w[stain], "methods" => %w[wipe], "per_coat" => 2 } ] }
    paste = { "id" => "paste", "name" => "Pore paste", "class" => "waterborne_filler", "role" => "pore filler" }
    worn = shop([], area_m2: 4.0, consumables: [ sheets, cloths ], products: [ paste ],
                    steps: [ step("s0", "fill", product: "paste", method: "wipe"),
                             coat("s1", product: "clear", coats: 2), step("s2", "rub_out", grits: %w[P800 P1000]) ])
      .shopping.worn
    assert_equal [ 2.8, 2.0 ], worn.map { |row| row.need.round(6) }
  end

  def test_how_long_things_keep
    keeping = ->(state, **fields) { Rhexon::Stock::Keeping.until(product(**fields), state, Date.new(2026, 1, 31)) }
    assert_equal Date.new(2027, 1, 31), keeping.call("sealed")
    assert_equal Date.new(2026, 7, 31), keeping.call("opened")
    assert_equal Date.new(2026, 4, 30), keeping.call("opened", class: "hardener")
    assert_equal Date.new(2026, 10, 31), keeping.call("opened", class: "oil_varnish")
    assert_equal Date.new(2026, 7, 31), keeping.call("mixed", class: "shellac")
    assert_equal Date.new(2026, 3, 31), keeping.call("opened", shelf_life_months: { "opened" => 2 })
    assert_equal Date.new(2026, 4, 30),
                 Rhexon::Stock::Keeping.until(product(class: "shellac"), "mixed", Date.new(2026, 1, 31),
                                              shellac_months: 3)
  end

  def test_what_is_mixed_for_a_pass_is_not_needed_again
    open = shop([ { "id" => "b1", "product" => "clear", "g" => 900 } ],
                steps: [ coat("s1", product: "clear", coats: 2) ])
    key = open.placements.first.pass.key
    mixed = shop(
      [
        { "id" => "b1", "product" => "clear", "g" => 900 },
        { "id" => "m1", "product" => "clear", "g" => 220, "state" => "mixed", "passes" => [ key ] }
      ],
      steps: [ coat("s1", product: "clear", coats: 2) ]
    )
    assert_in_delta clear_line(open).need_g / 2, clear_line(mixed).need_g, 1e-6
    assert_equal 900.0, clear_line(mixed).left_g, "a mix for one pass is no stock for another"
  end

  def test_old_shellac_is_tried_first_and_blends_keep_half_a_year
    made = Date.new(2026, 8, 31)
    assert_equal [ false, true ],
                 [ Date.new(2026, 11, 30), Date.new(2026, 12, 1) ].map { |day|
                   Rhexon::Mixing::Cuts.smear_first?(made, day)
                 }
    assert_equal Date.new(2027, 2, 28), Rhexon::Stock::Keeping.blend_until(made)
  end
end
