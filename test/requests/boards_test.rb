require "test_helper"

class BoardsRequestTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ], target_lab: [ 35, 20, 23 ])
  end

  def make_board(**fields)
    post "/boards", params: { name: "Board 1", wood: "elm", grain: "open", width_mm: 480, height_mm: 300, cells: 3, piece_id: @piece.id, layers_from: @piece.id }.merge(fields)
    Board.last
  end

  def read(cell, kind, value, id: SecureRandom.uuid) = send_json("/boards/#{cell.board_id}/cells/#{cell.id}/readings", { client_id: id, kind: kind, value: value, taken_at: Time.current.iso8601 })

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
    patch "/boards/#{board.id}/cells/#{three.id}", params: { ruined: "sanded through" }.to_json, headers: RequestTest::JSON_HEADERS
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

  test "layers made in place are checked" do
    cell = make_board.cells.first
    patch "/boards/#{cell.board_id}/cells/#{cell.id}", params: { layers: [ coat("s1", wet_um: -3) ] }.to_json, headers: RequestTest::JSON_HEADERS
    assert_match(/Wet film is more than 0/, sentence)
    patch "/boards/#{cell.board_id}/cells/#{cell.id}", params: { layers: [ coat("s1", wet_um: 60) ] }.to_json, headers: RequestTest::JSON_HEADERS
    assert_equal 60, cell.reload.layers.first["wet_um"]
  end

  test "neither preview nor promotion touches a piece with work in the log" do
    cell = make_board.cells.first
    cell.update!(layers: [ coat("s9", wet_um: 70) ])
    log(@piece, "s1/1/top", "done", Time.current)
    %w[promotion_preview promotion].each do |way|
      assert_no_difference(-> { Revision.count }) { send_json("/boards/#{cell.board_id}/cells/#{cell.id}/#{way}", { piece_id: @piece.id, methods: {} }) }
      assert_match(/already in the log/, sentence)
    end
  end

  test "a cell is promoted after a preview of what changes" do
    cell = make_board.cells.first
    body = { piece_id: @piece.id, methods: {} }
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/promotion_preview", body)
    assert_includes answer["cautions"], "This cell has no reading yet."
    assert_nil @piece.schedule.reload.from_cell
    send_json("/boards/#{cell.board_id}/cells/#{cell.id}/promotion", body)
    assert_equal "/pieces/#{@piece.id}/schedule", answer["location"]
    assert_equal cell, @piece.schedule.reload.from_cell
  end
end
