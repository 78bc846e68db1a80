require "test_helper"

class WalkTest < CoreTest
  def walk(*steps, face: "show", faces: nil, **fields)
    record = piece(document(*steps))
    record["faces"] = faces if faces
    plan(record, **fields).film("top", face)
  end

  # Closed wood: 100 · 34 % · 0.55 = 18.7; · 0.9 = 30.6; flatten 5 µm; 34 µm
  def test_the_film_step_by_step
    snapshots = walk(coat("s1", coats: 2), step("s2", "level", grits: [ "P320" ], aim: "between"), coat("s3")).snapshots
    assert_equal [ 18.7, 49.3, 44.3, 78.3 ], snapshots.map { |snapshot| snapshot.after.total_um.round(1) }
    assert_in_delta 5, snapshots[2].removed_um, 1e-9
  end

  def test_an_inserted_scuff_takes_its_two_micrometres
    film = walk(coat("s1"), step("s2", "wait", minutes: 1000), coat("s3"))
    assert_equal %w[coat scuff coat], film.snapshots.map { |snapshot| snapshot.placement.pass.kind }
    assert_in_delta 18.7 - 2 + 30.6, film.final.total_um, 1e-6
    assert_equal [ 1, 2 ], film.final.layers.map(&:bond_group), "scuffed after its window: layers of their own"
  end

  def test_scuffed_inside_the_window_still_fuses
    film = walk(coat("s1", coats: 2), house: { "scuff" => "always" })
    assert_equal [ 1, 1 ], film.final.layers.map(&:bond_group)
  end

  def test_each_face_has_its_own_film_and_wood
    faces = [
      { "id" => "show", "area_m2" => 1.0, "wood" => "open" }, { "id" => "back", "area_m2" => 1.0, "wood" => "closed" }
    ]
    steps = [ coat("s1"), coat("s2", faces: [ "show" ]) ]
    assert_in_delta 13.6 + 25.5, walk(*steps, faces: faces).final.total_um, 1e-6
    assert_in_delta 18.7, walk(*steps, face: "back", faces: faces).final.total_um, 1e-6
  end

  def test_sanding_bare_wood_and_waiting_change_nothing
    assert_empty walk(step("s1", "sand", grits: [ "P180" ]), step("s2", "wait", minutes: 30),
                      step("s3", "look")).snapshots
  end

  def test_stain_between_coats_lies_over_the_film_below_it
    film = walk(coat("s1"), step("s2", "stain", product: "russet", method: "wipe"), coat("s3"))
    assert_in_delta 49.3, film.final.total_um, 1e-6
    refute_nil film.final.clear_over_colour
  end

  def test_paint_is_not_sanded_through_to_itself
    record = { "id" => "green", "class" => "waterborne_one_part", "colour" => "pigmented" }
    json = shop_json(
      piece(
        document(coat("s1", product: "green", coats: 2),
                 step("s2", "level", grits: [ "P320" ], aim: "between", removes_um: 8), coat("s3", product: "green"))
      )
    )
    made = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(json.merge("products" => PRODUCTS + [ record ])))
    assert_nil made.film("top", "show").final.clear_over_colour
    assert_empty findings(made, "film.sand_through")
  end
end
