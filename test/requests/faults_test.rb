require "test_helper"

class FaultsTest < RequestTest
  JSON_WANTED = { "Accept" => "application/json" }.freeze

  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    @pass = "#{@piece.core_id}/s1/1/top"
    log(@piece, "s1/1/top", "done", 2.hours.ago)
  end

  def find_fault(fault, mending, id: SecureRandom.uuid)
    send_json(
      "/entries",
      { client_id: id, kind: "fault", happened_at: Time.current.iso8601, pass: @pass, fault: fault, mending: mending }
    )
  end

  def kinds = @piece.schedule.reload.document["steps"].map { |step| step["kind"] }

  test "the ways to mend a fault, each with its date" do
    get "/faults", headers: JSON_WANTED
    assert_includes answer["faults"].map { |fault| fault["name"] }, "Runs or sags"
    get "/faults/runs", params: { pass: @pass }, headers: JSON_WANTED
    way = answer["ways"].sole
    assert_equal "cut_flat", way["id"]
    assert_operator way["later_min"], :>, 0
    assert_equal %w[coat], kinds
  end

  test "a fault puts its mending into the schedule once, and takes it out when it is taken back" do
    2.times { find_fault("runs", "cut_flat", id: "tap") }
    assert_equal %w[coat wait level coat coat], kinds
    assert_equal "Runs or sags: let it get hard, cut it flat, recoat", @piece.schedule.head.reason
    assert_equal 1, Entry.where(kind: "fault").count
    send_json(
      "/entries",
      {
        client_id: "back", kind: "correction", happened_at: Time.current.iso8601,
        corrects: Entry.find_by(kind: "fault").id
      }
    )
    assert_response :ok
    assert_equal %w[coat coat], kinds
  end

  test "mending that is begun cannot be taken back with the fault" do
    find_fault("dry_spray", "denib")
    sand = @piece.schedule.reload.document["steps"].find { |step| step["kind"] == "sand" }
    log(@piece, "#{sand["id"]}/1/top", "done", 1.minute.ago)
    send_json(
      "/entries",
      {
        client_id: "back", kind: "correction", happened_at: Time.current.iso8601,
        corrects: Entry.find_by(kind: "fault").id
      }
    )
    assert_match(/already in the log/, sentence)
    assert_nil Entry.find_by(kind: "correction")
  end

  test "left as it is, it is in the log alone" do
    find_fault("runs", "leave")
    assert_response :ok
    assert_equal %w[coat], kinds
    assert_equal({ "fault" => "runs", "mending" => "leave" }, Entry.find_by(kind: "fault").body)
  end

  test "what cannot be is refused with a sentence, and nothing is kept" do
    find_fault("gremlins", "leave")
    assert_match(/is not known/, sentence)
    find_fault("runs", "prayer")
    assert_match(/cannot be mended by/, sentence)
    @pass = "#{@piece.core_id}/s1/2/top"
    find_fault("runs", "cut_flat")
    assert_match(/work that is done/, sentence)
    assert_equal 0, Entry.where(kind: "fault").count
  end

  # 100 µm wet of 34 % on closed grain leaves 18.7 µm of the first coat: 9.35 mm of feather, 30 mm over its edge.
  test "a spot is foreseen as rings, of the film as it is now" do
    get "/patch", params: { pass: @pass, mm: 20 }, headers: JSON_WANTED
    ring = answer["rings"].sole
    assert_in_delta 10 + 9.35, ring["to_mm"], 0.01
    assert_in_delta 2 * (19.35 + 30), answer["patch_mm"], 0.01
    assert_equal [ 2, false ], answer.values_at("lines", "blends")
    assert_match(/2 rings stay to be seen/, answer["words"])
  end

  test "what cannot be patched is refused with a sentence" do
    [ { pass: @pass, mm: "x" }, { pass: @pass, mm: 0 }, { pass: "#{@piece.core_id}/s1/1/nowhere", mm: 20 },
      { pass: @pass }, { pass: "x", mm: 20 } ].each do |params|
      get "/patch", params: params, headers: JSON_WANTED
      assert_response :unprocessable_entity
      assert_predicate sentence, :present?
    end
  end
end
