require "test_helper"

class TrialsTest < RequestTest
  setup do
    set_up_shop
    @piece = make_dyed_piece
  end

  STRENGTH = { name: "dye strength", step: "s2", field: "strength_percent", levels: [ 50, 100 ] }.freeze
  COATS = { name: "clear coats", step: "s4", field: "coats", levels: [ 2, 3 ] }.freeze

  def asked(**fields)
    {
      name: "Dye and coats", piece_id: @piece.id, wood: "elm", grain: "open", width_mm: 480, height_mm: 305, boards: 2,
      design: "full", step_strip: true, factors: [ STRENGTH, COATS ]
    }.merge(fields)
  end

  def made(**fields) = send_json("/trials", asked(**fields)).then { Trial.last }

  test "the page has the steps of one piece; those of another are asked for when it is chosen" do
    other = make_piece(name: "Other", steps: [ coat("c1", coats: 1) ])
    get "/trials/new?piece=#{other.id}"
    steps = props["steps"]
    assert_equal [ other.id, %w[c1] ], [ props["piece"], steps.map { |step| step["id"] } ]
    get "/trials/base/#{other.id}", headers: JSON_HEADERS
    assert_equal steps, answer["steps"]
  end

  test "the designer draws cells with predicted looks, and says what they take and when they can be judged" do
    send_json("/trials/preview", asked)
    assert_equal %w[1 2 3 4 bare base], answer["cells"].map { |cell| cell["label"] }
    assert_equal [ "50 %", "2 coats" ], answer["cells"].first["words"]
    weak, strong = answer["cells"].values_at(0, 2).map { |cell| cell["lab"][0] }
    assert_operator strong, :<, weak
    assert_equal [ 6, 2, 6 ], [ answer["places"].size, answer["boards"], answer["passes"] ]
    assert_equal 10_080, answer["judged_at"] - answer["ready_at"]
    assert_equal [ "Vellaby russet dye", "Orrin dewaxed shellac", "Skerrow W20 clear satin" ],
                 answer["amounts"].map { |amount| amount["name"] }
    assert_equal 0, Trial.count
  end

  test "a trial is made of boards with the same cells, each a replicate" do
    trial = made
    assert_equal "/boards/#{trial.boards.first.id}", answer["location"]
    assert_equal [ "Dye and coats, board 1", "Dye and coats, board 2" ], trial.boards.map(&:name)
    assert_equal [ [ 0, 0 ], [ 0, 1 ], [ 1, 0 ], [ 1, 1 ], nil, nil ], trial.boards.last.cells.map(&:run)
    assert_equal [ 50, nil ],
                 trial.boards.first.cells.to_a.values_at(0, 2).map { |cell|
                   cell.layers
                   .find { |layer| layer["kind"] == "stain" }["strength_percent"]
                 }
    shuffled = made(name: "Shuffled", shuffled: true)
    refute_equal shuffled.boards.first.cells.map(&:label), shuffled.boards.last.cells.map(&:label)
    assert_equal shuffled.boards.first.cells.map(&:label).sort, shuffled.boards.last.cells.map(&:label).sort
  end

  # 5 x 4 x 2 = 40 cells of at least 25 mm, 12 mm of tape between, and 30 of them on a board of 260 x 200 mm.
  test "more cells than a board holds are dealt over several, each with its own bare and base" do
    many = asked(
      name: "Many", width_mm: 260, height_mm: 200, step_strip: false, timber_lot: "batch 7, batch 9",
      factors: [
        STRENGTH.merge(levels: [ 20, 40, 60, 80, 100 ]), COATS.merge(levels: [ 1, 2, 3, 4 ]),
        { name: "film", step: "s3", field: "wet_um", levels: [ 50, 70 ] }
      ]
    )
    send_json("/trials/preview", many)
    parts = answer["parts"]
    assert_operator parts.size, :>, 1
    assert_equal (1..40).map(&:to_s),
                 parts.flatten.uniq.reject { |label| %w[bare base].include?(label) }.sort_by(&:to_i)
    assert(parts.all? { |part| part.last(2) == %w[bare base] && part.size <= answer["places"].size })
    send_json("/trials", many)
    boards = Trial.last.boards.to_a
    assert_equal parts.size * 2, boards.size
    assert_equal [ "Many, board 1a", "batch 7", "Many, board 2a", "batch 9" ],
                 boards.values_at(0, parts.size).flat_map { |board| [ board.name, board.timber_lot ] }
    get "/boards/#{boards.last.id}"
    assert_response :success
  end

  test "what cannot be is refused beside its field, and nothing is kept" do
    {
      { width_mm: 60 } => "cells", { boards: 9 } => "boards", { design: "half" } => "design",
      { factors: [] } => "factors", { factors: [ COATS.merge(step: "s1") ] } => "factors", { name: " " } => "name",
      { height_mm: "tall" } => "height_mm"
    }.each do |wrong, where|
      assert_no_difference(-> { Trial.count + Board.count }, wrong.inspect) { send_json("/trials", asked(**wrong)) }
      assert_equal where, answer.dig("error", "where"), wrong.inspect
    end
  end

  test "a board on paper at its own size, with its order of work" do
    board = made(boards: 1).boards.sole
    get "/boards/#{board.id}/sheet"
    assert_equal "application/pdf", response.media_type
    # 480 + 2 x 16 mm in points.
    assert_includes response.body.force_encoding("BINARY"), format("[0 0 %.5g", 512 * 72 / 25.4)[0, 10]
    order = Board::Sheet.new(board, "http://shop/boards/1").order
    assert_equal [
      "1, 2, 3, 4, bare, base, strip bare, strip 1, strip 2, strip 3, strip 4",
      "3, 4, base, strip 1, strip 2, strip 3, strip 4", "1, 2", "1, 2, 3, 4, base, strip 2, strip 3, strip 4"
    ],
                 order.passes.first(4).map { |pass| pass.cells.join(", ") }
  end

  # Blotch by hand: dye strength up 1 on both boards, board 2 worse by 0.5 all over.
  test "effects of what was varied stand on the board, in words" do
    trial = made
    trial.boards.each_with_index do |board, index|
      board.cells.select(&:run).each do |cell|
        read(cell, "blotch", 1 + cell.run[0] + index * 0.5 + (cell.run[1] == 1 && index.zero? ? 0.1 : 0))
      end
    end
    get "/boards/#{trial.boards.first.id}"
    effects = props["trial"]["effects"].sole
    assert_equal "blotch", effects["name"]
    strength = effects["effects"].first
    assert_match(/\Adye strength: 100 % instead of 50 %: blotch up 1\.0 \(/, strength["words"])
    assert_equal %w[certain cannot_tell cannot_tell], effects["effects"].map { |effect| effect["told"] }
  end

  # Look alone: blotch 1, 2 on the scale of 5 score 0.8, 0.6; with hands the quick one overtakes.
  test "combinations are judged by what counts here" do
    trial = made
    trial.boards.each do |board|
      board.cells.select(&:run).each do |cell|
        { "blotch" => 2 - cell.run[0], "hands_min" => 20 + 30 * cell.run[0] }.each { |kind, value|
          read(cell, kind, value)
        }
      end
    end
    board = trial.boards.first
    weigh = ->(weights) {
      patch("/trials/#{trial.id}", params: { weights: weights, board: board.id }.to_json,
                                   headers: RequestTest::JSON_HEADERS)
    }
    weigh.call({ look: 5, hands: 0 })
    assert_equal [ [ "3", 0.8 ], [ "4", 0.8 ], [ "1", 0.6 ], [ "2", 0.6 ] ],
                 answer["trial"]["verdicts"].map { |verdict| verdict.values_at("label", "score") }
    weigh.call({ look: 1, hands: 5 })
    assert_equal "1", answer["trial"]["verdicts"].first["label"]
    weigh.call({ luck: 2 })
    assert_match(/Weights are 0 to 5/, sentence)
  end

  test "blind picks are kept once and add up to strengths" do
    board = made(boards: 1).boards.sole
    one, two = board.cells.first(2).map(&:id)
    2.times { pick(board, one, two, id: "tap") }
    assert_equal 1, PairPick.count
    pick(board, two, one, id: "tap")
    assert_response :conflict
    8.times { pick(board, one, two) }
    pairs = answer["pairs"]
    assert_equal [ one, 9, true ],
                 [ pairs["strengths"].first["id"], pairs["picks"], pairs["strengths"].first["strength"] > 0.5 ]
    assert_not_includes pairs["left"].map(&:sort), [ one, two ].sort
    board.cells.second.update!(ruined: "run")
    pick(board, one, two)
    assert_match(/two sound cells of this board/, sentence)
  end

  test "the colour desk: a recipe by weight, what cannot be reached, and sentences for what is wrong" do
    ask = ->(**fields) {
      send_json(
        "/boards/colour",
        { wood: "elm", way: "stain", target: [ 45, 18, 20 ], colourants: [ "russet" ], batch_g: 500, **fields }
      )
    }
    ask.call
    assert_equal [ "russet" ], answer["answers"].first["grams"].map { |part| part["id"] }
    assert_in_delta 500,
                    answer["answers"].first["grams"].sum { |part| part["grams"] } +
                      answer["answers"].first["carrier_g"],
                    0.01
    ask.call(target: [ 90, 0, 10 ])
    assert_match(/Dyes only darken/, answer["beyond"].join)
    colourant!
    ask.call(way: "tone", wood_lab: [ 45, 22, 22 ], target: [ 40, 24, 22 ], colourants: %w[russet madder])
    assert_equal [ "madder" ], answer["answers"].first["grams"].map { |part| part["id"] }, "what goes into any film"
    assert_operator answer["answers"].first["delta_e"], :<, answer["delta_start"]
    {
      { target: [ 1, 2 ] } => "target", { way: "tone", wood_lab: nil, colourants: [ "madder" ] } => "wood_lab",
      { colourants: [] } => "colourants", { batch_g: 0 } => "batch_g", { wood: "brass" } => "wood"
    }.each do |wrong, where|
      ask.call(**wrong)
      assert_equal where, answer.dig("error", "where"), wrong.inspect
    end
    get "/boards/colour"
    assert_equal %w[russet madder], props["colourants"].map { |colourant| colourant["id"] }
  end

  def colourant!
    optics = { "kind" => "dye", "bands" => [ [ 525, 42, 45 ] ] }
    Product.create!(code: "madder", maker: "Vellaby", role: "toner", name: "Madder", kind: "colourant",
                    figures: { "optics" => optics, "source" => "test" })
    Current.forget_shelf
  end

  test "a recipe of the desk becomes a step, at its place and by weight, or says why not" do
    colourant!
    steps = -> { @piece.schedule.reload.document["steps"] }
    put = ->(**fields) {
      send_json("/boards/colour/step", { piece_id: @piece.id, batch_g: 500, method: nil, carrier: nil, **fields })
    }
    get "/boards/colour/step", params: { piece_id: @piece.id, kind: "tone" },
                               headers: { "Accept" => "application/json" }
    choices = answer
    assert_includes choices["carriers"].map { |item| item["id"] }, "w20"
    assert_includes steps.call.map { |step| step["id"] }, choices["after"]
    put.call(kind: "tone", grams: { madder: 15 }, carrier: "w20", after: choices["after"])
    assert_response :ok
    tone = steps.call.find { |step| step["kind"] == "tone" }
    assert_equal [ "w20", "spray", 24, [ { "product" => "madder", "percent" => 3.0 } ] ],
                 tone.values_at("product", "method", "wet_um", "tint")
    assert_match(/step=#{tone["id"]}\z/, answer["location"])
    assert_match(/From the colour desk. Added: Tone/, @piece.schedule.head.reason)
    put.call(kind: "tone", grams: { madder: 5 }, carrier: "w20", replace: tone["id"])
    assert_equal 1.0, steps.call.find { |step| step["id"] == tone["id"] }["tint"].first["percent"]
    {
      { kind: "tone", grams: { madder: 15 } } => "carrier", { kind: "tone", grams: {} } => "grams",
      { kind: "tone", grams: { madder: 600 }, carrier: "w20" } => "grams",
      { kind: "coat", grams: { madder: 1 } } => "kind",
      { kind: "tone", grams: { nothing: 1 }, carrier: "w20" } => "grams",
      { kind: "tone", grams: { madder: 1 }, carrier: "w20", after: "s99" } => "steps/s99"
    }.each do |wrong, where|
      put.call(**wrong)
      assert_equal where, answer.dig("error", "where"), wrong.inspect
    end
  end

  test "the look after each step of a face" do
    get "/pieces/#{@piece.id}/schedule/looks", params: { face: "top" }, headers: { "Accept" => "application/json" }
    stages = answer["looks"]["stages"]
    assert_equal [ nil, "s2", "s3", "s4", "s4" ], stages.map { |stage| stage["step"] }
    assert_equal %w[A D50 D65 shop_led warm_led], stages.first["hexes"].keys.sort
    @piece.update!(wood: "bog cedar")
    get "/pieces/#{@piece.id}/schedule/looks", params: { face: "top" }, headers: { "Accept" => "application/json" }
    assert_nil answer["looks"]
  end

  private

  def read(cell, kind, value)
    Reading.record!(cell: cell, client_id: SecureRandom.uuid, kind: kind, value: value, taken_at: Time.current)
  end

  def pick(board, winner, loser, id: SecureRandom.uuid)
    send_json("/boards/#{board.id}/picks", { client_id: id, winner: winner, loser: loser })
  end
end
