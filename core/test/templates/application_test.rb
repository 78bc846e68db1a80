require "test_helper"

# A schedule kept in the book and applied to another piece, in another shop.
class TemplateApplicationTest < CoreTest
  FACES = [ { "id" => "top", "kind" => "face", "area_m2" => 1.2, "wood" => "open" },
            { "id" => "edges", "kind" => "edges", "area_m2" => 0.1, "wood" => "end_grain" } ].freeze
  STEPS = [
    { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] },
    { "id" => "s2", "kind" => "stain", "product" => "umber", "method" => "wipe", "strength_percent" => 50 },
    { "id" => "s3", "kind" => "coat", "product" => "seal", "method" => "spray", "wet_um" => 60, "coats" => 1,
      "role" => "seal", "cut_lb_per_gal" => 2, "faces" => [ "edges" ] },
    { "id" => "s4", "kind" => "coat", "product" => "w20", "method" => "spray", "wet_um" => 100, "coats" => 3,
      "role" => "top", "pins" => [ { "coat" => 1, "start" => "2026-11-25T08:00+01:00" } ] }
  ].freeze
  BOOTH = { "id" => "booth", "uses" => %w[spray finish dry], "climate" => [ { "t_c" => 20, "rh" => 50 } ] }.freeze

  def oak(steps = STEPS)
    piece(document(*steps), wood: "open").merge("faces" => FACES, "wood" => "oak", "use" => "table_top")
  end

  def shop_of(*records, **fields) = Rhexon::Planning::Shop.new(shop_json(*records, rooms: [ BOOTH ], **fields))

  def template(steps = STEPS)
    shop = shop_of(oak(steps))
    Rhexon::Templates::Template.of_piece(name: "Dark oak, satin", piece: shop.pieces.first, products: shop.products,
                                         film_um: 84)
  end

  def other(faces = FACES, wood: "oak")
    piece(document, id: "new").merge("faces" => faces, "wood" => wood, "use" => "table_top")
  end

  def applied(template, record = other, values: {}, chosen: {}, **shop)
    made = shop_of(record, **shop)
    Rhexon::Templates::Application.new(template, made.pieces.first, made, values: values, chosen: chosen)
  end

  def test_on_the_same_wood_in_the_same_shop_nothing_is_otherwise
    made = applied(template)
    assert_empty made.differences
    assert_empty made.missing
    assert_equal STEPS.map { |step| step.except("pins") }, made.document["steps"]
  end

  def test_what_may_be_varied_and_how_far
    keys = template.parameters.to_h { |one| [ one.key, one.value ] }
    assert_equal({ "s1/last_grit" => "P180", "s2/strength_percent" => 50, "s3/coats" => 1, "s3/cut_lb_per_gal" => 2,
                   "s4/coats" => 3, "s4/sheen_gu" => 28 }, keys)
    assert_equal %w[s4/coats], template.varying(%w[s4/coats]).parameters.map(&:key)
    assert_match(/cannot be varied/, refusal { template.varying(%w[s4/wet_um]) }.message)
  end

  def test_values_are_set_and_told
    made = applied(template, values: { "s4/coats" => 4, "s2/strength_percent" => 80, "s1/last_grit" => "P150",
                                       "s3/cut_lb_per_gal" => 1.5 })
    steps = made.document["steps"]
    assert_equal [ %w[P150], 80, 1.5, 4 ],
                 [ steps[0]["grits"], steps[1]["strength_percent"], steps[2]["cut_lb_per_gal"], steps[3]["coats"] ]
    assert_includes made.differences, "Stain, Umber oil stain at 50 %: strength 80 % in place of 50 %"
    assert_equal 4, made.differences.size
    [ { "s4/coats" => 99 }, { "s4/coats" => 2.5 }, { "s1/last_grit" => "P2000" }, { "s9/coats" => 1 } ].each do |wrong|
      refute_empty refusal { applied(template, values: wrong) }.message
    end
  end

  # Wanted glossier, the same kind of clear with the nearest sheen: 82 GU for 28.
  def test_another_sheen_takes_another_can_of_the_same_kind
    made = applied(template, values: { "s4/sheen_gu" => 80 })
    assert_equal "w80", made.document["steps"].last["product"]
    assert_includes made.differences, "W80 clear gloss for W20 clear satin, 82 GU for 28"
  end

  def test_faces_go_by_their_kind
    faces = [ { "id" => "door", "kind" => "face", "area_m2" => 0.5, "wood" => "closed" },
              { "id" => "rim", "kind" => "edges", "area_m2" => 0.1, "wood" => "end_grain" },
              { "id" => "lipping", "kind" => "edges", "area_m2" => 0.1, "wood" => "end_grain" } ]
    made = applied(template, other(faces, wood: "maple"))
    assert_equal %w[rim lipping], made.document["steps"][2]["faces"]
    assert_equal [ "oak there, maple here", "open grain there, closed grain here" ], made.differences
  end

  def test_a_step_for_faces_that_are_not_here_is_left_out_and_told
    made = applied(template, other(FACES.first(1)))
    assert_equal %w[s1 s2 s4], made.document["steps"].map { |step| step["id"] }
    assert_includes made.differences, "edges there and none here"
    assert(made.differences.any? { |words| words.end_with?("is left out: no such face") })
  end

  def test_a_round_goes_without_the_step_that_is_left_out
    look = { "id" => "s5", "kind" => "look", "again" => { "steps" => %w[s3 s4], "rounds" => 1, "most" => 3 } }
    made = applied(template([ *STEPS, look ]), other(FACES.first(1)))
    assert_equal %w[s4], made.document["steps"].last["again"]["steps"]
  end

  # Without a gun three sprayed coats of 100 µm are brushed to the same film; what only the gun lays on is told.
  def test_without_a_gun_it_is_brushed_to_the_same_film
    bench = BOOTH.merge("id" => "bench", "uses" => %w[finish dry sand])
    one = { "id" => "one", "name" => "One-part clear", "class" => "waterborne_one_part" }
    gun = { "id" => "gun", "name" => "Gun clear", "class" => "solvent_two_part" }
    sprayed = [ *STEPS[0..-2], STEPS.last.merge("product" => "gun"),
                STEPS.last.except("pins").merge("id" => "s5", "product" => "one") ]
    from = shop_of(oak(sprayed), products: PRODUCTS + [ one, gun ])
    kept = Rhexon::Templates::Template.of_piece(name: "Sprayed", piece: from.pieces.first, products: from.products)
    made_in = Rhexon::Planning::Shop.new(shop_json(other, rooms: [ bench ], products: PRODUCTS + [ one, gun ]))
    made = Rhexon::Templates::Application.new(kept, made_in.pieces.first, made_in)
    seal, top, last = made.document["steps"].last(3)
    assert_equal %w[brush spray brush], [ seal, top, last ].map { |step| step["method"] }
    assert_in_delta 300, last["wet_um"] * last["coats"], 100 * Rhexon::Compare::OtherMethod::SPARE + 1
    assert_includes made.differences, "Top coat, Gun clear: nothing here to lay it on with"
    assert_equal 2, made.differences.count { |words| words.end_with?("sprayed there, brushed here") }
  end

  def test_what_is_not_on_the_shelf_is_of_its_kind_or_missing_and_a_colour_is_only_itself
    shelf = [ { "id" => "c35", "name" => "C35 clear", "class" => "waterborne_two_part", "sheen_gu" => 35 },
              { "id" => "russet", "name" => "Russet dye", "class" => "water_dye", "colour" => "tinted" } ]
    made = applied(template, products: shelf)
    assert_equal [ "Umber oil stain", "Dewaxed shellac" ], made.missing.map { |one| one["name"] }
    assert_equal %w[buy:umber buy:seal], made.to_buy.map { |one| one["id"] }
    assert_equal %w[buy:umber buy:seal c35], made.document["steps"].filter_map { |step| step["product"] }
    assert_includes made.differences, "C35 clear for W20 clear satin, 35 GU for 28"
    assert_includes made.differences, "Umber oil stain is not on the shelf"
    by_hand = applied(template, products: shelf, chosen: { "umber" => "russet" })
    assert_equal "russet", by_hand.document["steps"][1]["product"]
    assert_match(/does not stand for/, refusal { applied(template, chosen: { "w20" => "varnish" }).document }.message)
  end

  def test_rooms_and_tools_that_are_not_here_are_told
    steps = STEPS.map { |step| step["id"] == "s4" ? step.merge("room" => "booth", "dry_room" => "booth") : step }
    kept = template(steps)
    hall = BOOTH.merge("id" => "hall")
    made_in = Rhexon::Planning::Shop.new(shop_json(other, rooms: [ hall ]))
    made = Rhexon::Templates::Application.new(kept, made_in.pieces.first, made_in)
    assert_equal [ "hall", nil ], made.document["steps"].last.values_at("room", "dry_room")
    assert_includes made.differences, "Top coat, W20 clear satin: no booth here"
  end

  def test_it_is_written_and_read_as_a_file
    again = Rhexon::Templates::Template.read(JSON.parse(JSON.generate(template.json)))
    assert_equal template.json, again.json
    [ template.json.merge("format" => "rhexon-template/2"), template.json.merge("products" => []),
      template.json.merge("faces" => [ { "id" => "top", "kind" => "face" } ]), template.json.merge("name" => ""),
      template.json.merge("schedule" => { "format" => "rhexon-schedule/2", "steps" => [ { "id" => "s1" } ] }),
      [], nil, "x" ].each do |wrong|
      refute_empty refusal { Rhexon::Templates::Template.read(wrong) }.message
    end
  end

  def test_an_empty_schedule_is_not_kept
    assert_match(/no steps/, refusal { template([]) }.message)
  end
end
