require "test_helper"

# Cells as one piece of work, what is varied, and where cells lie.
class WorkOrderTest < CoreTest
  Boards = Rhexon::Boards
  BASE = [ { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] },
           { "id" => "s2", "kind" => "stain", "product" => "russet", "method" => "wipe" },
           {
             "id" => "s3", "kind" => "coat", "product" => "seal", "method" => "brush", "wet_um" => 60, "coats" => 1,
             "role" => "seal"
           }, {
             "id" => "s4", "kind" => "coat", "product" => "w20", "method" => "spray", "wet_um" => 80, "coats" => 2,
             "role" => "top"
           } ].freeze

  def factor(name, step, field, *levels) = { "name" => name, "step" => step, "field" => field, "levels" => levels }
  def order(cells) = Boards::WorkOrder.new(cells)

  def told(order)
    order.passes.map { |pass| [ pass.step["product"] || pass.step["kind"], pass.step["coats"], pass.cells.join ] }
  end

  # --- what is varied

  def test_levels_are_set_on_the_layers_of_the_base
    factors = [
      factor("strength", "s2", "strength_percent", 50, 100), factor("cut", "s3", "thinned_percent", 0, 50),
      factor("grit", "s1", "last_grit", "P150", "P220"), factor("toner", "s4", "included", true, false)
    ]
    layers = Boards::FactorLevels.apply(BASE, factors, [ 0, 1, 0, 1 ])
    assert_equal [ 50, { "percent" => 50, "of" => "base" }, %w[P150] ],
                 [ layers[1]["strength_percent"], layers[2]["thinning"], layers[0]["grits"] ]
    assert_equal 3, layers.size
    assert_equal %w[P150 P180 P220], Boards::FactorLevels.apply(BASE, factors, [ 0, 0, 1, 0 ])[0]["grits"]
    assert_equal [ "50 %", "without", "2 coats", "W20" ],
                 [
                   Boards::FactorLevels.label(factors[0], 50), Boards::FactorLevels.label(factors[3], false),
                   Boards::FactorLevels.label({ "field" => "coats" }, 2),
                   Boards::FactorLevels.label({ "field" => "product" }, "w20", { "w20" => "W20" })
                 ]
  end

  def test_a_factor_that_does_not_fit_is_refused
    assert_match(/a step that the base does not have/,
                 refusal { Boards::FactorLevels.check!(BASE, [ factor("x", "s9", "coats", 1, 2) ]) }.message)
    assert_match(/coats is nothing of a sand step/,
                 refusal { Boards::FactorLevels.check!(BASE, [ factor("x", "s1", "coats", 1, 2) ]) }.message)
    assert_match(/cannot be varied/,
                 refusal { Boards::FactorLevels.check!(BASE, [ factor("x", "s1", "luck", 1, 2) ]) }.message)
    assert_match(/Coats are a whole number/,
                 refusal { Boards::FactorLevels.check!(BASE, [ factor("x", "s4", "coats", 1, 99) ]) }.message)
  end

  # --- the order of work

  def test_what_is_the_same_is_done_once_and_extra_coats_come_after
    cells = {
      "1" => BASE, "2" => Boards::FactorLevels.apply(BASE, [ factor("coats", "s4", "coats", 2, 3) ], [ 1 ]), "3" => []
    }
    assert_equal [
      [ "sand", nil, "12" ], [ "russet", nil, "12" ], [ "seal", 1, "12" ], [ "w20", 2, "12" ], [ "w20", 1, "2" ]
    ],
                 told(order(cells))
    assert_equal [ [ "3" ], [ "3" ], [ "3" ], %w[1 3] ], order(cells).passes.drop(1).map(&:masked)
    assert_equal 2, order(cells).mask_moves, "one cell is covered at first, one more for the last coat"
  end

  # Without the sealer a cell waits for the others, so that the top coat is mixed once.
  def test_a_cell_that_skips_a_step_waits_for_the_material_they_share
    cells = {
      "1" => BASE, "2" => Boards::FactorLevels.apply(BASE, [ factor("seal", "s3", "included", true, false) ], [ 1 ])
    }
    assert_equal [ [ "sand", nil, "12" ], [ "russet", nil, "12" ], [ "seal", 1, "1" ], [ "w20", 2, "12" ] ],
                 told(order(cells))
  end

  def test_cells_in_words_take_runs_together
    all = [ *("1".."12"), "bare", "base", *(1..6).map { |stage| "strip #{stage}" } ]
    words = ->(labels) { Boards::Labels.joined(labels, all) }
    assert_equal "all", words.(all)
    assert_equal "1 to 12, base, strip 2 to 6",
                 words.([ *("1".."12"), "base", *(2..6).map { |stage| "strip #{stage}" } ])
    assert_equal "1, 2, 5 to 7, strip 1", words.([ "1", "2", "5", "6", "7", "strip 1" ])
    assert_equal "12, strip 1, strip 2", words.([ "12", "strip 1", "strip 2" ]), "a cell is no stage of the strip"
    assert_equal "1", Boards::Labels.joined([ "1" ], [ "1" ])
  end

  def test_amounts_over_all_cells
    products = PRODUCTS.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
    amounts = order({ "1" => BASE, "2" => BASE }).amounts({ "1" => 0.01, "2" => 0.02 }, products)
    assert_equal [ "russet", "seal", "w20" ], amounts.map { |amount| amount["product"] }
    hands, margin = Rhexon::Reference.hands, Rhexon::Reference.mixing.margin_percent
    assert_equal ((0.03 * 80 * 2 / 0.7 + hands.left_behind_ml.fetch("spray")) * (1 + margin / 100.0)).ceil,
                 amounts.last["ml"], "one gun for both coats"
  end

  # The planner times it as one piece whose faces are the cells.
  def test_the_planner_takes_it_as_a_piece
    work = order(
      { "1" => BASE, "2" => Boards::FactorLevels.apply(BASE, [ factor("coats", "s4", "coats", 2, 3) ], [ 1 ]) }
    )
    board = {
      "id" => "board", "faces" => %w[1 2].map { |id| { "id" => id, "area_m2" => 0.01 } }, "schedule" => work.document
    }
    made = plan(board)
    assert_equal %w[1+2 1+2 1+2 1+2 1+2 2],
                 made.of_piece("board")
                   .reject { |placement| placement.pass.inserted }
                   .map { |placement| placement.pass.key.split("/").last }
    refute_nil made.build.ready["board"]
  end

  # --- where cells lie

  # 480 x 305, margin 10, tape 12, six cells: 3 x 2 of 145 x 136.5 mm.
  def test_cells_in_rows_as_near_to_square_as_can_be
    sheet = Boards::Layout.grid(width_mm: 480, height_mm: 305, margin_mm: 10, tape_mm: 12, cells: 6)
    assert_equal [ 145.0, 136.5 ], sheet.places.first.to_h.values_at(:width_mm, :height_mm)
    assert_equal [ [ 10.0, 10 ], [ 167.0, 10 ], [ 324.0, 10 ], [ 10.0, 158.5 ] ],
                 sheet.places.first(4).map { |place| [ place.x_mm, place.y_mm ] }
    assert_equal [ [ :along, 155.0, 167.0 ], [ :along, 312.0, 324.0 ], [ :across, 146.5, 158.5 ] ], sheet.tapes
  end

  def test_a_step_strip_stands_at_the_edge_and_nothing_overlaps
    sheet = Boards::Layout.grid(width_mm: 600, height_mm: 300, margin_mm: 10, tape_mm: 10, cells: 7, stages: 5)
    assert_equal 5, sheet.strips.size
    (sheet.places + sheet.strips).combination(2).each do |one, other|
      apart = one.x_mm + one.width_mm <= other.x_mm || other.x_mm + other.width_mm <= one.x_mm ||
        one.y_mm + one.height_mm <= other.y_mm || other.y_mm + other.height_mm <= one.y_mm
      assert apart
    end
    assert(sheet.strips.all? { |stage| stage.x_mm + stage.width_mm <= 590 })
    assert_match(
      /do not fit a board of 100 x 60/,
      refusal { Boards::Layout.grid(width_mm: 100, height_mm: 60, margin_mm: 5, tape_mm: 10, cells: 9) }.message
    )
  end
end
