require "test_helper"

class PiecesRequestTest < RequestTest
  setup { set_up_shop }

  def make(**fields)
    post "/pieces",
         params: {
           job_id: "", client: "Ostrel Quay", due: "2026-12-18", name: "Desk", count: "6", wood: "elm",
           use: "table_top", arris: "eased_2mm", faces: [ { name: "top", area_m2: "1.2", grain: "open", kind: "face" } ]
         }.merge(fields)
  end

  test "empty places teach the first step" do
    %w[/bench /pieces /boards].each do |path|
      get path
      assert_response :ok
    end
  end

  test "a piece of a new job gets an empty schedule and its page" do
    make
    piece = Piece.last
    assert_redirected_to "/pieces/#{piece.id}/schedule"
    assert_equal [ 6, 1.2, [] ], [ piece.count, piece.faces.first.area_m2, piece.schedule.document["steps"] ]
    assert_equal Time.utc(2026, 12, 18, 16), piece.job.due_at, "17:00 in Berlin"
  end

  test "wrong fields come back with a sentence each and nothing is kept" do
    assert_no_difference [ "Piece.count", "Job.count", "Face.count" ] do
      make(name: "", count: "0", client: "", faces: [ { name: "a/b", area_m2: "-2", grain: "open", kind: "face" } ])
    end
    follow_redirect!
    assert_equal({
                   "name" => "Name the piece.", "count" => "How many alike: a whole number from 1 to 1000.",
      "client" => "Name the client or the job.", "faces.0.area_m2" => "Area is more than 0 and at most 10 000 m².",
      "faces.0.name" => "A face's name has no / and no +."
                 }, props["errors"].slice(
                     "name", "count", "client", "faces.0.area_m2", "faces.0.name"
                   ))
  end

  test "a due date that is no day is refused, not forgotten" do
    assert_no_difference([ "Job.count", "Piece.count" ]) { make(due: "soon") }
    follow_redirect!
    assert_equal "A due date is a day, such as 2026-12-18.", props["errors"]["due"]
  end

  test "a piece is changed, its faces keep their names, its wanted look is understood" do
    piece = make_piece(steps: [ coat("s1") ])
    face = { name: "top", area_m2: "2.5", grain: "open", kind: "face" }
    patch "/pieces/#{piece.id}",
          params: {
            name: "Desk", count: "2", wanted_colour: "34,6 20.2 -3", wanted_gloss: "25 to 35",
            faces: [ face, face.merge(name: "back", kind: "back") ]
          }
    assert_redirected_to "/pieces/#{piece.id}/schedule"
    piece.reload
    assert_equal [ [ 34.6, 20.2, -3.0 ], 25, 35, [ "top", "back" ], 2.5 ],
                 [
                   piece.target_lab, piece.sheen_low, piece.sheen_high, piece.faces.map(&:name),
                   piece.faces.first.area_m2
                 ]
    patch "/pieces/#{piece.id}", params: { wanted_colour: "reddish", wanted_gloss: "shiny" }
    follow_redirect!
    assert_equal %w[wanted_colour wanted_gloss], props["errors"].keys.sort
  end

  test "faces of a piece that is in the log stay as they are" do
    piece = make_piece(steps: [ coat("s1") ])
    log(piece, "s1/1/top", "done", Time.current)
    patch "/pieces/#{piece.id}", params: { faces: [ { name: "back", area_m2: "1", grain: "open", kind: "back" } ] }
    follow_redirect!
    assert_match(/in the log by its faces/, props["errors"]["faces"])
    assert_equal [ "top" ], piece.reload.faces.map(&:name)
  end

  test "the list shows how far each piece is" do
    make_piece(steps: [ coat("s1", coats: 2) ])
    get "/pieces"
    assert_equal [ 1, 2, 0 ], props["jobs"].first["pieces"].first.values_at("steps", "passes", "done")
  end

  # --- the job

  def change_job(job, **change) = patch("/jobs/#{job.id}", params: change.to_json, headers: JSON_HEADERS)

  test "the list of a large shop shows its pieces first, and what stands against each behind them" do
    late = make_piece(name: "Late", steps: [ coat("s1", coats: 2) ])
    late.job.update!(due_at: 1.day.ago)
    get "/pieces"
    counted = props["jobs"].flat_map { |job| job["pieces"] }.to_h { |piece| [ piece["id"].to_s, piece["levels"] ] }
    assert_operator counted.fetch(late.id.to_s).fetch("caution"), :>=, 1
    get "/pieces/levels", headers: JSON_HEADERS
    assert_equal counted, answer["levels"]
    ShopFloor.last.plan.model.define_singleton_method(:large?) { true }
    get "/pieces"
    assert_equal [ nil ], props["jobs"].flat_map { |job| job["pieces"] }.map { |piece| piece["levels"] }.uniq
  end

  test "a job's client, place and due date can be changed, and the plan follows" do
    piece = make_piece(steps: [ coat("s1") ])
    change_job(piece.job, client: "Hollin Weir", place: "the mill", due_on: "2026-12-01")
    assert_equal [ "Hollin Weir", "the mill", Time.utc(2026, 12, 1, 16) ],
                 piece.job.reload.then { |job| [ job.client, job.place, job.due_at ] }
    get "/pieces"
    assert_equal [ "2026-12-01" ], props["jobs"].map { |job| job["due_on"] }
    change_job(piece.job, due_on: "")
    assert_nil piece.job.reload.due_at
    { { due_on: "soon" } => "due", { client: " " } => "client" }.each do |wrong, where|
      change_job(piece.job, **wrong)
      assert_equal where, answer["error"]["where"]
    end
    assert_equal "Hollin Weir", piece.job.reload.client
  end

  test "a closed job leaves bench and plan, keeps its log, and can be taken in hand again" do
    piece = make_piece(steps: [ coat("s1") ])
    log(piece, "s1/1/top", "started", 1.hour.ago)
    change_job(piece.job, closed: true)
    assert_empty ShopFloor.new.pieces
    get "/pieces"
    assert_equal [ [], [ piece.job.client ] ], [ props["jobs"], props["closed"].map { |job| job["client"] } ]
    assert_equal 1, piece.entries.count
    get "/pieces/#{piece.id}/schedule"
    assert_response :unprocessable_entity
    change_job(piece.job, closed: false)
    assert_equal [ piece ], ShopFloor.new.pieces
  end

  test "a wood without figures is known by its nearest kind, or by what was read of it" do
    make(wood: "padauk", wood_like: "mahogany")
    piece = Piece.last
    piece.schedule.edit!({ "op" => "add_step", "after" => nil, "step" => coat("s1") }, base: 1, reason: "x")
    looks = -> {
      get "/pieces/#{piece.id}/schedule/looks", params: { face: "top" }, headers: { "Accept" => "application/json" }
      answer["looks"]
    }
    assert_equal "a mean board of mahogany, the nearest kind to padauk: an estimate", looks.call["ground"]
    assert looks.call["pale"]
    piece.faces.first.update!(found: { "is" => "bare", "lab" => [ 45, 28, 24 ] })
    assert_equal [ "this wood as it was read", 45.0 ], [ looks.call["ground"], looks.call["stages"].first["lab"][0] ]
    piece.update!(wood_like: nil)
    assert_equal [ nil, 45.0 ], [ looks.call["pale"], looks.call["stages"].first["lab"][0] ]
    piece.faces.first.update!(found: nil)
    assert_nil looks.call
    patch "/pieces/#{piece.id}", params: { name: "Desk", count: 1, wood: "padauk", wood_like: "brass",
                                           faces: [ { name: "top", area_m2: "1", grain: "open", kind: "face" } ] }
    follow_redirect!
    assert_equal "Choose a kind of wood.", props["errors"]["wood_like"]
  end

  test "the air where a job will live is two numbers, or left open" do
    make
    job = Job.last
    [ [ "21 °C, 45 %", [ 21, 45 ] ], [ "", [ nil, nil ] ], [ "-5 80", [ -5, 80 ] ] ].each do |typed, air|
      patch "/jobs/#{job.id}", params: { air_there: typed }.to_json, headers: JSON_HEADERS
      assert_response :ok
      assert_equal air, job.reload.values_at(:place_t_c, :place_rh)
    end
    patch "/jobs/#{job.id}", params: { air_there: "warm" }.to_json, headers: JSON_HEADERS
    assert_match(/Air is °C and % RH, such as 20 and 45/, sentence)
    assert_equal "-5 °C 80 %", job.reload.air_there
  end

  # --- batches of timber
  BATCH = { name: "Pond oak", wood: "oak", facts: { tannin: false }, words: "vinegar and iron stay pale" }.freeze

  test "a batch of timber that is unlike its kind counts more than the table" do
    make(wood: "oak")
    piece = Piece.last
    piece.schedule.edit!({ "op" => "add_step", "after" => nil, "step" => coat("s1") }, base: 1, reason: "x")
    told = -> { get("/pieces/#{piece.id}/schedule"); props["sheet"]["findings"].map { |finding| finding["id"] } }
    assert_includes told.call, "colour.tannin"
    send_json("/timbers", BATCH)
    assert_equal [ "Pond oak" ], answer["timbers"].map { |timber| timber["name"] }
    patch "/pieces/#{piece.id}", params: edited(timber_id: answer["id"]).to_json, headers: JSON_HEADERS
    assert_not_includes told.call, "colour.tannin"
    patch "/timbers/#{Timber.last.id}", params: BATCH.merge(facts: { tannin: true }).to_json, headers: JSON_HEADERS
    assert_includes told.call, "colour.tannin"
  end

  test "a batch says what it is unlike in and how that is known, and is of the wood of its piece" do
    [
      { name: "" }, { facts: {} }, { facts: { hard: true } }, { facts: { tannin: "no" } }, { words: " " }
    ].each do |wrong|
      send_json("/timbers", BATCH.merge(wrong))
      assert_response :unprocessable_entity
      assert_predicate sentence, :present?
    end
    assert_equal 0, Timber.count
    make(wood: "elm")
    other = Timber.create!(BATCH)
    patch "/pieces/#{Piece.last.id}", params: edited(wood: "elm", timber_id: other.id).to_json, headers: JSON_HEADERS
    follow_redirect!
    assert_equal "This batch is of another wood.", props["errors"]["timber_id"]
  end

  def edited(**more)
    face = { name: "top", area_m2: "1", grain: "open", kind: "face" }
    { name: "Desk", count: 1, wood: "oak", faces: [ face ], **more }
  end

  test "a piece is deleted, restored, and gone from the list after thirty days; what is in the log is archived" do
    piece = make_piece(steps: [ coat("s1") ])
    begun = make_piece(name: "Begun", steps: [ coat("s1") ])
    log(begun, "s1/1/top", "done", 1.hour.ago)
    [ piece, begun ].each do |one|
      send_json("/pieces/#{one.id}/removal", {})
      assert_response :ok
    end
    assert_empty ShopFloor.new.plan.placements
    get "/pieces"
    assert_equal [ [ "Begun", true ], [ "Desk top", false ] ],
                 props["removed"].map { |one| one.values_at("name", "archived") }.sort
    get "/pieces/#{piece.id}/schedule", headers: { "ACCEPT" => "application/json" }
    assert_match(/Desk top was deleted/, sentence)
    travel 31.days
    get "/pieces"
    assert_equal [ "Begun" ], props["removed"].map { |one| one["name"] }
    send_json("/pieces/#{begun.id}/removal", {}, :delete)
    assert_response :no_content
    assert_predicate begun.reload, :in_hand?
    assert_equal 1, Entry.where(kind: "done").count
  end

  test "a name that was freed by deleting can be given anew, and then the first cannot come back" do
    piece = make_piece
    send_json("/pieces/#{piece.id}/removal", {})
    Piece.create!(job: piece.job, name: piece.name, wood: "elm",
                  faces: [ Face.new(name: "top", area_m2: 1, grain: "open") ])
    send_json("/pieces/#{piece.id}/removal", {}, :delete)
    assert_match(/already has a piece of that name/, sentence)
    assert_not_predicate piece.reload, :kept?
  end
end
