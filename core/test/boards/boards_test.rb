require "test_helper"

class BoardsTest < CoreTest
  Readings = Rhexon::Boards::Readings

  def products = PRODUCTS.to_h { |record| [ record["id"], Rhexon::Materials::Product.new(record) ] }

  def test_means_and_distance_to_the_wanted_look
    summary = Readings.summary(
      [
        [ "lab", [ 34.0, 20.0, 24.0 ] ], [ "lab", [ 36.0, 21.0, 22.0 ] ], [ "gloss", 30.0 ], [ "gloss", 33.0 ],
        [ "note", "even" ]
      ],
      target_lab: [ 35, 20.5, 23 ]
    )
    assert_equal [ 35.0, 20.5, 23.0 ], summary.lab
    assert_in_delta 31.5, summary.gloss, 1e-9
    assert_in_delta 0.0, summary.delta_e, 1e-9
    assert_nil summary.liking
  end

  def test_the_best_cell_is_the_nearest_or_else_the_best_liked
    near = Readings.summary([ [ "lab", [ 35, 20, 23 ] ], [ "liking", 2 ] ], target_lab: [ 35, 20, 23 ])
    far = Readings.summary([ [ "lab", [ 50, 10, 23 ] ], [ "liking", 5 ] ], target_lab: [ 35, 20, 23 ])
    assert_equal :near, Readings.best(near: near, far: far)
    assert_equal :b, Readings.best(a: Readings.summary([ [ "liking", 2 ] ]), b: Readings.summary([ [ "liking", 4 ] ]))
    assert_nil Readings.best(a: Readings.summary([]))
  end

  def test_a_reading_out_of_range_is_refused_with_what_is_accepted
    assert_match(/1 to 5/, refusal { Readings.check("liking", 7) }.message)
    assert_match(/L\* 0 to 100/, refusal { Readings.check("lab", [ 120, 0, 0 ]) }.message)
    assert_match(/needs words/, refusal { Readings.check("note", "  ") }.message)
    assert_equal [ 34.2, 19.6, 24.1 ], Readings.check("lab", [ 34.2, 19.6, 24.1 ])
  end

  def test_promotion_changes_method_and_film_and_says_so
    layers = [ step("s1", "sand", grits: [ "P220" ]), coat("s2", product: "seal", wet_um: 80, faces: [ "cell" ]) ]
    result = Rhexon::Boards::Promotion.promote(layers, products: products, methods: { "spray" => "brush" },
                                                       cell: {
                                                         readings: 0, age_days: 2, timber: "elm", piece_wood: "oak"
                                                       })
    assert_equal [ "brush", 70 ], result.document["steps"].last.values_at("method", "wet_um")
    refute result.document["steps"].last.key?("faces")
    assert_includes result.differences, "Dewaxed shellac: sprayed on the board, brushed here"
    assert_equal 3, result.cautions.size
  end

  def test_promotion_is_refused_where_the_product_cannot_be_laid_so
    error = refusal do
      Rhexon::Boards::Promotion.promote(
        [ coat("s1", product: "lacquer") ], products: products, methods: { "spray" => "brush" }
      )
    end
    assert_equal "spray", error.accepted
  end

  def test_a_seasoned_cell_with_readings_on_the_same_wood_raises_nothing
    result = Rhexon::Boards::Promotion.promote(
      [ coat("s1") ], products: products, cell: { readings: 4, age_days: 30, timber: "elm", piece_wood: "elm" }
    )
    assert_empty result.cautions
    assert_empty result.differences
  end
end

class LayoutTest < CoreTest
  # 480 mm less two margins of 10 and five tapes of 12: 400 / 6 = 66.5 mm a cell
  def test_a_row_of_six
    places = Rhexon::Boards::Layout.row(width_mm: 480, height_mm: 300, margin_mm: 10, tape_mm: 12, cells: 6)
    assert_equal [ 10, 66.5, 280 ], [ places.first.x_mm, places.first.width_mm, places.first.height_mm ]
    assert_operator places.last.x_mm + places.last.width_mm, :<=, 470
  end

  def test_too_many_cells_are_refused_with_how_many_fit
    assert_match(
      /at most 5 here/,
      refusal {
        Rhexon::Boards::Layout.row(width_mm: 200, height_mm: 300, margin_mm: 10, tape_mm: 12,
                                   cells: 9)
      }.message
    )
  end
end
