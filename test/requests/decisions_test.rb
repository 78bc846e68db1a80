require "test_helper"

# What is decided on boards, and what they teach.
class DecisionsTest < RequestTest
  DYE = { "optics" => { "kind" => "dye", "bands" => [ [ 430, 45, 9.0 ], [ 535, 40, 2.6 ] ] } }.freeze

  setup do
    set_up_shop
    Product.find_by!(code: "russet").update!(figures: DYE)
    Product.find_by!(code: "w20").update!(figures: { "sheen_gu" => 28, "wet_um" => { "spray" => 100, "brush" => 90 } })
    @piece = make_piece(
      target_lab: [ 35, 20, 23 ],
      steps: [
        { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P220] },
        { "id" => "s2", "kind" => "stain", "product" => "russet", "method" => "wipe" }, coat("s3", coats: 2)
      ]
    )
    @board = Board.create!(name: "Board 1", piece: @piece, wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                           made_on: Date.new(2026, 11, 13))
    @cells = [ 50, 75, 100 ].each_with_index.map do |percent, index|
      @board.cells.create!(label: (index + 1).to_s, position: index, layers: layers(percent))
    end
  end

  def layers(percent)
    [
      { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P220] },
      {
        "id" => "s2", "kind" => "stain", "product" => "russet", "method" => "wipe",
        **(percent == 100 ? {} : { "strength_percent" => percent })
      },
      coat("s3", coats: 2)
    ]
  end

  def read(cell, kind, value)
    Reading.record!(cell: cell, client_id: SecureRandom.uuid, kind: kind, value: value, taken_at: Time.current)
  end

  def findings(id)
    Rhexon::Checks::Catalogue.findings(ShopFloor.new.plan, @piece.core_id).select { |finding| finding.id == id }
  end

  def cell_path(cell) = "/boards/#{@board.id}/cells/#{cell.id}"

  # --- approval

  test "an approval silences the hold point until the schedule changes" do
    assert_equal 1, findings("colour.hold_point").size
    send_json("#{cell_path(@cells.last)}/approval", { client_id: "a1", name: " The librarian ", light: "warm lamp" })
    assert_equal [ "The librarian", "warm lamp", 10, false ],
                 answer["approval"].values_at("name", "light", "age_days", "stale")
    assert_empty findings("colour.hold_point")
    get "/bench"
    assert_empty props["latest"], "a yes is not taken back with a touch at the bench"
    edit(@piece, { op: "change_step", id: "s3", set: { coats: 3 } })
    assert answer["approval"]["stale"]
    assert_equal 1, findings("colour.hold_point").size
    send_json("#{cell_path(@cells.last)}/approval", { client_id: "a2", name: "" })
    assert_match(/write the name/, sentence)
  end

  test "an approval is taken back by a correction, and the piece plans and can be approved anew" do
    send_json("#{cell_path(@cells.last)}/approval", { client_id: "a1", name: "The librarian" })
    entry = Entry.find_by!(kind: "approved")
    send_json("/entries",
              { client_id: "c1", kind: "correction", corrects: entry.id, happened_at: Time.current.iso8601 })
    assert_response :ok
    assert_nil Approval.for(@piece)
    get "/pieces/#{@piece.id}/schedule"
    assert_equal [ 200, nil ], [ response.status, props["approval"] ]
    send_json("#{cell_path(@cells.last)}/approval", { client_id: "a2", name: "The librarian" })
    refute answer["approval"]["stale"]
  end

  test "moving a start or looking in between leaves an approval fresh" do
    send_json("#{cell_path(@cells.last)}/approval", { client_id: "a1", name: "The librarian" })
    edit(@piece, { op: "add_step", after: "s2", step: { id: "s9", kind: "look", asks: "Even?" } })
    edit(@piece, { op: "pin", id: "s3", coat: 1, start: "2026-11-25T10:00+01:00" })
    refute answer["approval"]["stale"]
  end

  test "the approval sheet says what was read, how old the board is and what the print cannot do" do
    read(@cells.first, "lab", [ 36, 19, 23 ])
    sheet = Approval::Sheet.new(@cells.first, "http://shop/boards/1")
    assert_includes sheet.figures, "Colour read: L* 36.0  a* 19.0  b* 23.0 (D65, 2°)"
    assert_match(/10 days old/, sheet.conditions.join)
    get "#{cell_path(@cells.first)}/approval"
    assert_equal "application/pdf", response.media_type
  end

  # --- verdict, and looking again

  test "a verdict has a reason, and the last one stands" do
    send_json("/boards/#{@board.id}/verdict", { client_id: "v0", cell: @cells.first.id, reason: " " })
    assert_equal "reason", answer["error"]["where"]
    send_json("/boards/#{@board.id}/verdict", { client_id: "v1", cell: nil, reason: "Wait for daylight" })
    assert_nil answer["verdict"]["cell"]
    send_json("/boards/#{@board.id}/verdict", { client_id: "v2", cell: @cells.last.id, reason: "Known at once" })
    assert_equal [ "3", "Known at once" ], [ answer["verdict"]["cell"]["label"], answer["verdict"]["reason"] ]
    send_json("/boards/#{@board.id}/verdict", { client_id: "v3", cell: 99_999, reason: "x" })
    assert_equal "cell", answer["error"]["where"]
  end

  test "a board of ten days waits for its look of day seven" do
    get "/boards"
    assert_equal [ [ "Board 1", 7, "2026-11-20" ] ],
                 props["look_again"].map { |look| look.values_at("name", "days", "on") }
    read(@cells.first, "note", "No change")
    get "/boards"
    assert_empty props["look_again"]
  end

  # --- quick entry

  test "readings of the whole board are kept together or not at all" do
    good = @cells.map { |cell| { cell: cell.id, kind: "gloss", value: 25 } }
    send_json("/boards/#{@board.id}/quick",
              { client_id: "q1", readings: good + [ { cell: @cells.last.id, kind: "lab", value: [ 36, 20, 22 ] } ] })
    assert_equal 4, answer["kept"]
    assert_no_difference(-> { Reading.count }) do
      send_json("/boards/#{@board.id}/quick",
                { client_id: "q2", readings: good + [ { cell: @cells[1].id, kind: "blotch", value: 9 } ] })
    end
    assert_equal [ "#{@cells[1].id}/blotch", "0 (even) to 5" ], answer["error"].values_at("where", "accepted")
    assert_match(/\ACell 2: blotch cannot be 9/, sentence)
    send_json("/boards/#{@board.id}/quick", { client_id: "q3", readings: [] })
    assert_match(/nothing to keep/, sentence)
    assert_no_difference(-> { Reading.count }) do
      send_json("/boards/#{@board.id}/quick", { client_id: "q1", readings: good })
    end
  end

  test "how far two cells are apart, as read where they were" do
    read(@cells[0], "lab", [ 50, 2.6772, -79.7751 ])
    read(@cells[1], "lab", [ 50, 0, -82.7485 ])
    get "/boards/#{@board.id}"
    assert_equal 2.0, props["apart"].fetch(@cells.first(2).map(&:id).join(" ")),
                 "the first pair of Sharma, Wu and Dalal (2005): 2.0425"
    assert_equal 3, props["apart"].size
    @cells[2].update!(ruined: "sanded through")
    get "/boards/#{@board.id}"
    assert_equal 1, props["apart"].size
  end

  # --- what boards teach

  test "boards that read darker than the sheet says make the next prediction darker, and it is told" do
    sheet = LooksState.new("elm", layers(100)).last_lab[0]
    products = Shelf.as_on_sheets.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
    @cells.each do |cell|
      read(
        cell, "lab",
        Rhexon::Colour::Looks
          .new(Rhexon::Colour::Wood.for_species("elm"), cell.layers, products, strengths: { "russet" => 1.4 })
          .final.look.lab
          .map { |value| value.round(2) }
      )
    end
    taught = LooksState.new("elm", layers(100))
    assert_operator taught.last_lab[0], :<, sheet - 1
    assert_match(/Vellaby russet dye is reckoned as this shop's boards taught: 1\.4\d? of its sheet, 3 readings/,
                 taught.to_h["own"])
    get "/boards/colour"
    lesson = props["taught"].sole
    assert_in_delta 1.4, lesson["strength"], 0.02
    assert_equal [ true, [ 50, 100 ] ], lesson.values_at("used", "range")
    travel 1.minute
    @cells.first.update!(ruined: "sanded through")
    refute Board::Lessons.told.sole[:used], "two sound cells are too few"
  end

  test "what a board of the same things was read as stands beside the prediction" do
    get "/pieces/#{@piece.id}/schedule/looks?face=top", headers: { "ACCEPT" => "application/json" }
    assert_nil answer["looks"]["read"]
    read(@cells.first, "lab", [ 44, 17, 25 ])
    get "/pieces/#{@piece.id}/schedule/looks?face=top", headers: { "ACCEPT" => "application/json" }
    assert_nil answer["looks"]["read"], "half the strength is another thing"
    travel 1.minute
    read(@cells.last, "lab", [ 36, 20, 22 ])
    get "/pieces/#{@piece.id}/schedule/looks?face=top", headers: { "ACCEPT" => "application/json" }
    assert_equal [ "cell 3 of Board 1", [ 36.0, 20.0, 22.0 ] ], answer["looks"]["read"].values_at("words", "lab")
  end

  test "predictions on a board begin from its own timber once that was read bare" do
    bare = @board.cells.create!(label: "bare", position: 3, role: "bare", layers: [])
    before = @cells.last.looks.last_lab
    read(bare, "lab", [ 72, 6, 20 ])
    after = Cell.find(@cells.last.id).looks.last_lab
    assert_operator after[0], :>, before[0] + 1, "a paler piece of elm"
    assert_equal Rhexon::Colour::Wood.for_species("elm").lab.map { |value| value.round(1) },
                 Cell.find(bare.id).looks.last_lab, "bare itself is predicted as a mean board"
  end

  # --- findings that carry what was done otherwise

  test "a board laid on otherwise is told on the schedule it was promoted to" do
    read(@cells.last, "lab", [ 36, 20, 22 ])
    assert_empty findings("colour.no_board")
    send_json("#{cell_path(@cells.last)}/promotion", { piece_id: @piece.id, methods: { spray: "brush" } })
    assert_match(/Skerrow W20 clear satin sprayed there, brushed here/, findings("colour.no_board").sole.sentence)
    @piece.update!(wood: "ash")
    assert_match(/the board is elm, the piece ash/, findings("colour.no_board").sole.sentence)
  end

  test "promotion tells how much larger the piece is, and spots that were tested too soon" do
    read(@cells.last, "water", 5)
    send_json("#{cell_path(@cells.last)}/promotion_preview", { piece_id: @piece.id, methods: {} })
    assert_match(/0\.033 m² on the board, 1 m² here/, answer["differences"].join)
    assert_includes answer["cautions"], "Spots were tested before its full cure."
  end

  # --- made at the bench

  test "a board is made at the bench among the other work, and is as old as its last pass" do
    send_json("/boards/#{@board.id}/making", {})
    assert_equal "/bench", answer["location"]
    piece = @board.reload.making
    assert_equal [ "Sample boards", %w[1 2 3] ], [ piece.job.client, piece.faces.map(&:name) ]
    assert_equal [ %w[1 2 3], %w[1], %w[2], %w[3], %w[1 2 3] ],
                 piece.schedule.document["steps"].map { |step| step["faces"] }, "three strengths, the rest once"
    plan = ShopFloor.new.plan
    assert_empty Rhexon::Checks::Catalogue.findings(plan, piece.core_id).map(&:id).grep(/colour/),
                 "the making of a board wants no board"
    assert plan.batches.any? { |batch| batch.passes.any? { |key| key.start_with?(piece.core_id) } },
           "what it needs is mixed with the rest"
    assert_no_difference(-> { Piece.count }) { send_json("/boards/#{@board.id}/making", {}) }

    keys = plan.of_piece(piece.core_id)
      .reject { |placement| placement.pass.inserted }
      .map { |placement| placement.pass.key }
    keys.each { |key| log(piece, key.split("/", 2).last, "started", 1.hour.ago) }
    log(piece, "#{keys[1].split("/", 2).last}/scuff", "done", 2.minutes.ago)
    assert_equal 0, Board::Making.new(@board.reload).progress[:done], "a scuff in between is no pass of its own"
    keys.each_with_index do |key, index|
      send_json("/entries", { client_id: "done-#{index}", kind: "done", pass: key, happened_at: 1.minute.ago.iso8601 })
    end
    assert_equal Date.new(2026, 11, 23), @board.reload.made_on
    get "/boards/#{@board.id}"
    assert_equal [ keys.size ] * 2, props["work"]["making"].values_at("passes", "done")
  end

  # --- on paper

  test "the drawing is in mm, and the label has its code" do
    get "/boards/#{@board.id}/sheet.svg"
    assert_equal "image/svg+xml", response.media_type
    drawing = Nokogiri::XML(response.body)
    assert_equal [ "432mm", "332mm" ], [ drawing.root["width"], drawing.root["height"] ]
    assert_equal 4, drawing.css("rect").size, "the board and its three cells"
    get "/boards/#{@board.id}/label.svg"
    label = Nokogiri::XML(response.body)
    assert_includes label.css("text").map(&:text), "made 13 Nov 2026"
    assert_operator label.css("rect").size, :>, 200
  end
end
