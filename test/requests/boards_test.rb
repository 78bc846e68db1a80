require "test_helper"

class BoardsRequestTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ], target_lab: [ 35, 20, 23 ])
  end

  def make_board(**fields)
    post "/boards",
         params: {
           name: "Board 1", wood: "elm", grain: "open", width_mm: 480, height_mm: 300, cells: 3, piece_id: @piece.id,
           layers_from: @piece.id
         }.merge(fields)
    Board.last
  end

  def read(cell, kind, value, id: SecureRandom.uuid)
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/readings",
              { client_id: id, kind: kind, value: value, taken_at: Time.current.iso8601 })
  end

  test "a board begins with cells in the layers of a schedule" do
    board = make_board
    assert_redirected_to "/boards/#{board.id}"
    assert_equal [ 3, "w20" ], [ board.cells.size, board.cells.first.layers.first["product"] ]
    get "/boards/#{board.id}"
    assert_in_delta 145.0, props["board"]["places"].first["width_mm"], 0.6
  end

  test "a board that cannot be is refused beside its fields" do
    [ { cells: 20 }, { width_mm: 60 }, { name: "" }, { grain: "plaid" }, { piece_id: 9999 } ].each do |wrong|
      assert_no_difference(-> { Board.count }, wrong.inspect) { make_board(**wrong) }
      follow_redirect!
      assert_includes props["errors"].keys, wrong.keys.first == :width_mm ? "cells" : wrong.keys.first.to_s
    end
  end

  test "readings add up to means, the best is the nearest, a ruined cell is out" do
    board = make_board
    one, two, three = board.cells.to_a
    read(one, "lab", [ 40, 18, 25 ])
    read(two, "lab", [ 34, 20, 24 ])
    read(two, "lab", [ 37, 20, 22 ])
    read(three, "lab", [ 35, 20, 23 ])
    assert_equal three.id, answer["board"]["best"]
    patch "/boards/#{board.id}/cells/#{three.id}", params: { ruined: "sanded through" }.to_json,
                                                   headers: RequestTest::JSON_HEADERS
    assert_equal two.id, answer["board"]["best"]
    assert_equal [ 35.5, 20.0, 23.0 ], answer["board"]["cells"][1]["summary"]["lab"]
  end

  test "a reading is kept once and never overwritten" do
    cell = make_board.cells.first
    2.times { read(cell, "gloss", 30, id: "r1") }
    assert_equal 1, cell.readings.count
    read(cell, "gloss", 40, id: "r1")
    assert_response :conflict
    read(cell, "gloss", 400)
    assert_match(/0 to 200 GU/, sentence)
    assert_equal "gloss", answer["error"]["where"]
  end

  # --- instruments and their files

  def measure(cell, what, id: SecureRandom.uuid)
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/measure", { client_id: id, measure: what, observer: "Imke" })
  end

  test "an instrument reads the mean of three touches, near the look that is predicted, under its name" do
    cell = make_board.cells.first
    measure(cell, "lab")
    reading = cell.readings.sole
    assert_equal [ "Colour reader, stand-in", "Imke" ], [ reading.instrument, reading.observer ]
    assert_operator Rhexon::Colour::DeltaE.ciede2000(LooksState.new("elm", cell.layers).last_lab, reading.value), :<,
                    2.5
    measure(cell, "gloss")
    assert_in_delta 28, cell.reload.summary.gloss, 4
  end

  test "an instrument that fails says how, and nothing is kept" do
    cell = make_board.cells.first
    travel(1.day) { measure(cell, "gloss") }
    { "disconnected" => /does not answer/, "out_of_range" => /out of its range/ }.each do |fault, wanted|
      Devices.instrument("lab").hand.fault = fault
      measure(cell, "lab")
      assert_match wanted, sentence.to_s
    end
    Devices.instrument("lab").hand.fault = "noisy"
    assert_includes Array.new(6) { measure(cell, "lab") && sentence.to_s[/do not agree/] }, "do not agree"
    Devices.instrument("gloss").hand.fault = "stale"
    measure(cell, "gloss")
    travel 1.minute
    assert_no_difference(-> { cell.readings.where(kind: "gloss").count }) { measure(cell, "gloss") }
    assert_match(/said nothing new/, sentence)
    measure(cell, "moisture")
    assert_match(/No instrument reads/, sentence)
  ensure
    %w[lab gloss].each { |what| Devices.instrument(what).hand.fault = "none" }
  end

  test "readings go out as text and come in again by label, once" do
    board = make_board
    get "/boards/#{board.id}/readings", headers: { "Accept" => "application/json" }
    assert_match(/No colour was read/, sentence)
    read(board.cells.first, "lab", [ 40, 18, 25 ])
    get "/boards/#{board.id}/readings"
    assert_equal [ "1" ], Rhexon::Colour::Cgats.read(response.body).samples.map(&:id)
    text = Rhexon::Colour::Cgats.write(
      [ [ "2", [ 35, 20, 24 ] ], [ "9", [ 1, 2, 3 ] ] ].map do |id, lab|
        Rhexon::Colour::Cgats::Sample.new(id: id, lab: lab)
      end
    )
    2.times do
      post "/boards/#{board.id}/readings", params: { file: upload(text) }, headers: { "Accept" => "application/json" }
    end
    assert_equal [ 1, [ "9" ] ], answer["report"].values_at("kept", "unknown")
    assert_equal [ [ 35.0, 20.0, 24.0 ] ], board.cells.second.readings.map(&:value)
    {
      "junk" => /no data format/, text.gsub("Illumination=D65", "Illumination=A") => /stated for A/,
      text.gsub(/^2\t/, "8\t") => /No sample of the file is a cell/
    }.each do |wrong, wanted|
      post "/boards/#{board.id}/readings", params: { file: upload(wrong) }, headers: { "Accept" => "application/json" }
      assert_match wanted, sentence
    end
  end

  # A grey of 20 % at every wavelength is L* = 116 cbrt(0.2) - 16 = 51.84, a* and b* 0, in any light; a narrow red is
  # not.
  test "spectra are kept, shown in each light as they are, and written again" do
    board = make_board
    flat = Array.new(31, 0.2)
    red = Rhexon::Colour::Spectrum::NM.map { |nm| nm > 600 ? 0.5 : 0.05 }
    samples = board.cells.zip([ flat, red, flat ]).map do |cell, spectrum|
      Rhexon::Colour::Cgats::Sample.new(id: cell.label, spectrum: spectrum)
    end
    post "/boards/#{board.id}/readings", params: { file: upload(Rhexon::Colour::Cgats.write(samples)) },
                                          headers: { "Accept" => "application/json" }
    first, second = answer["board"]["cells"]
    assert_in_delta 51.84, first["summary"]["lab"][0], 0.02
    assert_equal 1, first["read_hexes"].values.uniq.size
    assert_operator second["read_hexes"].values.uniq.size, :>, 2
    get "/boards/#{board.id}/readings"
    again = Rhexon::Colour::Cgats.read(response.body)
    again.samples.zip([ flat, red, flat ]) do |sample, spectrum|
      sample.spectrum.zip(spectrum) { |one, other| assert_in_delta other, one, 1e-5 }
    end
    read(board.cells.first, "spectrum", [ 0.2 ] * 30)
    assert_match(/31 numbers from 0 to 1/, sentence + answer["error"]["accepted"])
  end

  def upload(text) = Rack::Test::UploadedFile.new(StringIO.new(text), "text/plain", original_filename: "readings.txt")

  test "a board in the layers of a schedule does not go round" do
    look = { "id" => "s2", "kind" => "look", "again" => { "steps" => %w[s1], "rounds" => 1, "most" => 3 } }
    layers = make_board(layers_from: make_piece(steps: [ coat("s1"), look ]).id).cells.first.layers
    assert_equal %w[coat look], layers.map { |layer| layer["kind"] }
    assert_empty layers.flat_map(&:keys) & %w[again closes]
  end

  test "layers made in place are checked" do
    cell = make_board.cells.first
    patch "/boards/#{cell.board_id}/cells/#{cell.id}", params: { layers: [ coat("s1", wet_um: -3) ] }.to_json,
                                                       headers: RequestTest::JSON_HEADERS
    assert_match(/Wet film is more than 0/, sentence)
    patch "/boards/#{cell.board_id}/cells/#{cell.id}", params: { layers: [ coat("s1", wet_um: 60) ] }.to_json,
                                                       headers: RequestTest::JSON_HEADERS
    assert_equal 60, cell.reload.layers.first["wet_um"]
  end

  test "neither preview nor promotion touches a piece with work in the log" do
    cell = make_board.cells.first
    cell.update!(layers: [ coat("s9", wet_um: 70) ])
    log(@piece, "s1/1/top", "done", Time.current)
    %w[promotion_preview promotion].each do |way|
      assert_no_difference(-> { Revision.count }) do
        send_json("/boards/#{cell.board_id}/cells/#{cell.id}/#{way}", { piece_id: @piece.id, methods: {} })
      end
      assert_match(/already in the log/, sentence)
    end
  end

  # It was due yesterday.
  test "what can hardly be done by its date cannot be promised" do
    cell = make_board.cells.first
    @piece.job.update!(due_on: Date.current - 1)
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/promotion_preview", { piece_id: @piece.id, methods: {} })
    assert_equal [ "stop", "Cannot be promised" ], answer["against"].first.values_at("level", "title")
    @piece.job.update!(due_on: Date.current + 60)
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/promotion_preview", { piece_id: @piece.id, methods: {} })
    refute_includes answer["against"].map { |one| one["title"] }, "Cannot be promised"
  end

  test "a cell is promoted after a preview of what changes" do
    cell = make_board.cells.first
    body = { piece_id: @piece.id, methods: {} }
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/promotion_preview", body)
    assert_includes answer["cautions"], "This cell has no reading yet."
    assert_equal [ %w[level title sentence] ], answer["against"].map(&:keys).uniq, "a thin film for its use"
    assert_nil @piece.schedule.reload.from_cell
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/promotion", body)
    assert_equal "/pieces/#{@piece.id}/schedule", answer["location"]
    assert_equal cell, @piece.schedule.reload.from_cell
  end
end
