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

  # 130 µm by the comb where 100 are usual; the room is at 20 °C; nobody knows of a slow thinner.
  test "what is known of the hour ranks the causes, and answers move theirs" do
    log(@piece, "s1/1/top", "measured", 2.hours.ago, { "comb_um" => [ 130 ] })
    get "/faults/runs", params: { pass: @pass, causes: "only" }, headers: JSON_WANTED
    assert_nil answer["ways"], "the ways are planned by themselves"
    assert_equal [ [ "wet film above usual", "for" ], [ "slow solvent", "open" ] ],
                 answer["causes"].first(2).map { |cause| cause.values_at("says", "told") }
    assert_match(/retarder/, answer["causes"][1]["asks"])
    get "/faults/runs", params: { pass: @pass, causes: "only", no: "slow solvent;the moon" }, headers: JSON_WANTED
    assert_equal [ "slow solvent", "against" ],
                 answer["causes"].find { |cause| cause["says"] == "slow solvent" }.values_at("says", "told")
  end

  # 10 parts of hardener to 100 are 300 ml of 1.12 g/ml to 3000 ml of base; half of it was poured.
  test "what was weighed into the mix speaks of the ratio" do
    stock_two_part
    mix = Mix::Start.for_pass!("#{@piece.core_id}/s1/2/top")
    desk = Mix::Desk.new(mix)
    base, hardener = mix.sheet.pours.first(2)
    [ [ base, 1.0 ], [ hardener, 0.5 ] ].each_with_index do |(pour, share), index|
      desk.pour!({ "client_id" => "p#{index}", "name" => pour.component.name, "g" => pour.g * share },
                 happened_at: Time.current)
    end
    log(@piece, "s1/2/top", "done", 1.minute.ago)
    get "/faults/soft", params: { pass: "#{@piece.core_id}/s1/2/top", causes: "only" }, headers: JSON_WANTED
    assert_equal [ "wrong ratio", "for", "5 parts of H12 hardener are in it, 8 to 12 are allowed" ],
                 answer["causes"].first.values_at("says", "told", "words").map { |text| text.sub("Skerrow ", "") }
  end

  test "what it came from is logged beside it, told in the record and counted where it comes back" do
    found = { client_id: "f", kind: "fault", happened_at: Time.current.iso8601, pass: @pass, fault: "runs",
              mending: "leave" }
    send_json("/entries", { **found, cause: "the moon" })
    assert_match(/does not come from that/, sentence)
    send_json("/entries", { **found, cause: "cold air", answers: { "slow solvent" => false } })
    assert_response :ok
    assert_equal "fault: Runs or sags, from cold air, left as it is", Record::Told.new(Entry.last, {}).words
    get "/record/recurs"
    assert_equal({ "says" => "cold air", "times" => 1 }, props["faults"].sole["causes"].first)
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
