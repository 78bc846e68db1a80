require "test_helper"

class SchedulesRequestTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
  end

  test "the page carries the computed sheet" do
    get "/pieces/#{@piece.id}/schedule"
    assert_response :ok
    sheet = props["sheet"]
    assert_equal [ "Coat 1 of 2", "Coat 2 of 2" ], sheet["rows"].map { |row| row["words"] }
    assert_in_delta 49.3, sheet["section"]["film_um"], 0.05
  end

  test "an edit comes back computed, with its sequence number" do
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 3 } }, sequence: 7)
    assert_response :ok
    assert_equal [ 3, 7, true ], [ answer["sheet"]["rows"].size, answer["sequence"], answer["schedule"]["can_undo"] ]
    assert_equal "Top coat, Skerrow W20 clear satin: 3 coats", @piece.schedule.reload.head.reason
  end

  test "what an edit will be answered with is told ahead of it, and nothing is kept" do
    make_piece(name: "Lid", steps: [ coat("s1", coats: 2) ])
    ShopFloor.new.plan
    thicker = { op: "change_step", id: "s1", set: { wet_um: 120 } }
    foreseen = assert_no_difference(-> { Revision.count }) { ahead(thicker) }
    assert_equal 120, foreseen["document"]["steps"].first["wet_um"]
    plan = ShopFloor.new.plan_with(Piece.find(@piece.id), @piece.schedule.reload.proposed(thicker.deep_stringify_keys))
    edit(@piece, thicker)
    assert_equal foreseen, answer["sheet"]
    assert_same plan, ShopFloor.last.plan
  end

  test "nothing is told ahead of what would be refused, or of a revision that is past" do
    ShopFloor.new.plan
    assert_nil ahead({ op: "change_step", id: "s1", set: { wet_um: 900 } })
    assert_nil ahead({ op: "change_step", id: "s1", set: { wet_um: 90 } }, base: 1)
  end

  # The others stand where they stood, whoever looks, and after a restart.
  test "edits at random move no other piece, and the plan is the same read anew" do
    others = Array.new(3) { |at| make_piece(name: "Piece #{at}", steps: [ coat("s1", coats: 1 + at) ]) }
    ShopFloor.new.keep!
    random = Random.new(4)
    12.times do |turn|
      piece = [ @piece, *others ].sample(random: random)
      stood = starts(ShopFloor.new.plan, but: piece)
      change = [ { coats: random.rand(1..4) }, { wet_um: random.rand(60..140) } ].sample(random: random)
      foreseen = ahead({ op: "change_step", id: "s1", set: change }, piece: piece)
      edit(piece, { op: "change_step", id: "s1", set: change })
      next assert_response(:unprocessable_entity) if response.status != 200

      assert_equal foreseen, answer["sheet"], "turn #{turn}"
      ShopFloor.forget
      assert_equal stood, starts(ShopFloor.new.plan, but: piece), "turn #{turn}"
      assert_equal answer["sheet"], JSON.parse(JSON.generate(ScheduleState.new(Piece.find(piece.id)).sheet))
    end
  end

  test "what if computes and keeps nothing" do
    assert_no_difference -> { Revision.count } do
      send_json("/pieces/#{@piece.id}/schedule/what_if",
                { operation: { op: "change_step", id: "s1", set: { coats: 4 } } })
    end
    assert_equal 4, answer["sheet"]["rows"].size
  end

  test "bad input is refused with a sentence and a place" do
    edit(@piece, { op: "change_step", id: "s1", set: { wet_um: 900 } })
    assert_response :unprocessable_entity
    assert_equal [ "Wet film is more than 0 and at most 500 µm.", "steps/0/wet_um" ],
                 answer["error"].values_at("sentence", "where")
    edit(@piece, "nonsense")
    assert_response :unprocessable_entity
    post "/pieces/#{@piece.id}/schedule/edits", params: "{not json", headers: RequestTest::JSON_HEADERS
    assert_response :bad_request
  end

  test "a stale edit answers 409 with what was done meanwhile" do
    base = @piece.schedule.head.number
    edit(@piece, { op: "change_step", id: "s1", set: { wet_um: 80 } }, base: base)
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 3 } }, base: base)
    assert_response :conflict
    assert_match(/80 µm wet/, answer["since"].first["reason"])
  end

  test "undo, redo and the end of both" do
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 3 } })
    send_json("/pieces/#{@piece.id}/schedule/undo", {})
    assert_equal [ 2, true ], [ answer["sheet"]["rows"].size, answer["schedule"]["can_redo"] ]
    send_json("/pieces/#{@piece.id}/schedule/redo", {})
    assert_equal 3, answer["sheet"]["rows"].size
    send_json("/pieces/#{@piece.id}/schedule/redo", {})
    assert_equal "There is nothing to do again", sentence
  end

  test "a time that cannot be kept is refused with one that can" do
    edit(@piece, { op: "pin", id: "s1", coat: 2, start: "2026-11-23T22:00:00Z" })
    assert_response :unprocessable_entity
    assert_match(/Accepted: Mon 23 Nov/, sentence)
    edit(@piece, { op: "pin", id: "s1", coat: 2, start: "2026-11-23T10:00:00Z" })
    assert_response :ok
    assert(answer["sheet"]["rows"].last["pinned"])
  end

  test "history lists reasons, newest first" do
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 3 } }, reason: "One more coat, + 34 µm")
    get "/pieces/#{@piece.id}/schedule/history", headers: RequestTest::JSON_HEADERS
    assert_equal "One more coat, + 34 µm", answer["revisions"].first["reason"]
  end

  test "unknown records and addresses are said to be missing" do
    get "/pieces/9999/schedule"
    assert_response :not_found
    assert_match "Missing", response.body
    get "/nowhere/at/all"
    assert_response :not_found
    send_json("/pieces/9999/schedule/edits", {})
    assert_response :not_found
  end

  test "what if it were warmer, in another room, a coat less" do
    Room.create!(name: "loft", t_c: 26, rh: 45)
    piece = make_piece(steps: [ coat("s1", coats: 3) ], use: "show")
    get "/pieces/#{piece.id}/schedule/what_ifs", headers: JSON_HEADERS
    found = answer["what_ifs"]
    assert_includes found.map { |one| one["label"] }.join, "loft"
    assert(found.all? { |one| one["gain_min"].nil? || one["gain_min"] != 0 })
    assert_equal 1, Schedule.first.head.number - 1, "nothing is kept"
  end

  private

  def ahead(operation, piece: @piece, base: piece.schedule.reload.head.number)
    send_json("/pieces/#{piece.id}/schedule/ahead", { operation: operation, base: base })
    assert_response :ok
    answer["sheet"]
  end

  def starts(plan, but:)
    plan.placements.reject { |placement| placement.pass.piece.id == but.core_id }
      .map { |placement| [ placement.pass.key, placement.hands_start, placement.person ] }
  end
end
