require "test_helper"

class PlansTest < RequestTest
  JSON_WANTED = { "Accept" => "application/json" }.freeze

  setup do
    set_up_shop
    travel_to MONDAY
    @desk = make_piece(name: "Desk", steps: [ step("s1", "sand", grits: [ "P180" ]), coat("s2", coats: 3) ])
    make_piece(name: "Panel", steps: [ coat("s1", coats: 2) ])
  end

  def step(id, kind, **fields) = { "id" => id, "kind" => kind, **fields.transform_keys(&:to_s) }

  test "all pieces over one clock, in JSON and as a page" do
    get "/pieces/plan", headers: JSON_WANTED
    plan = answer["plan"]
    assert_equal 2, plan["strands"].size
    assert_equal [ "Imke" ], plan["lanes"].map { |lane| lane["person"] }
    planned = ShopFloor.new.plan.placements.flat_map(&:hands)
    assert_equal planned.sort, plan["lanes"].first["flags"].map { |mark| mark.values_at("from", "to") }.sort
    get "/pieces/plan"
    assert_response :success
  end

  test "the film of a strand never runs back in time" do
    get "/pieces/plan", headers: JSON_WANTED
    answer["plan"]["strands"].each do |strand|
      assert_equal strand["film"].map(&:first).sort, strand["film"].map(&:first)
    end
  end

  test "each goal with what it would change" do
    get "/pieces/plan/goals", headers: JSON_WANTED
    assert_equal Rhexon::Search::Goal::NAMES, answer["goals"].map { |goal| goal["name"] }
    soonest = answer["goals"].first
    assert_equal 0, soonest["moves"]
    assert_operator answer["goals"].map { |goal| goal["sessions"] }.min, :<=, soonest["sessions"]
  end

  test "the chance of each piece: dots, dates and what drives them, the same each time" do
    get "/pieces/plan/chance", headers: JSON_WANTED
    first = answer["chances"]
    assert_equal 2, first.size
    assert_equal 40, first.first["dots"].size
    assert_equal first.first["dates"].sort, first.first["dates"]
    words = first.first["drivers"].map { |driver| driver["words"] }
    assert_match(/\Ahow .+ dries\z/, words.first)
    assert_equal words.uniq, words, "a product once, however many coats"
  end

  test "the plan is kept, and what moved since this morning is told" do
    ShopFloor.new.keep!
    get "/pieces/plan", headers: JSON_WANTED
    assert_empty answer["moved"]
    first = ShopFloor.new.plan.placements.first
    travel_to Time.zone.at((first.hands_start + 40) * 60)
    get "/pieces/plan", headers: JSON_WANTED
    late = answer["moved"].find { |move| move["key"] == first.pass.key }
    assert_equal [ first.hands_start, first.hands_start + 40 ], late.values_at("from", "to")
    assert_equal first.hands_start, PlannedPass.find_by!(pass_key: first.pass.key).start_min, "looking writes nothing"
  end

  test "a plan that is no longer what the shop would have is not taken over" do
    post "/pieces/plan/accept", params: { digest: "gone" }, as: :json
    assert_response :unprocessable_entity
    assert_match(/A new search has begun/, sentence)
  end

  test "schedules side by side" do
    other = Piece.find_by!(name: "Panel")
    get "/pieces/compare", params: { piece: @desk.id, with: [ "piece:#{other.id}", "nothing:1" ] }, headers: JSON_WANTED
    assert_equal [ "As it stands", "As Panel" ], answer["sides"].map { |side| side["label"] }
    assert_equal [ 3, 2 ], answer["sides"].map { |side| side["coats"] }
    assert_includes answer["sides"].last["differs"], "1 coat fewer"
    get "/pieces/compare"
    assert_response :success
  end

  test "how wet work lies makes one pass a face, and stays once work is in the log" do
    @desk.faces.create!(name: "underside", kind: "back", area_m2: 1.0, grain: "closed", position: 1)
    keys = -> { ShopFloor.new.plan.of_piece(@desk.core_id).map { |placement| placement.pass.key.split("/").last } }
    assert_includes keys.call, "underside"
    place = { "op" => "place", "set" => { "support" => "hung" } }
    @desk.reload.schedule.edit!(place, base: @desk.schedule.head.number, reason: "Hung")
    assert_equal [ "top+underside" ], keys.call.uniq
    log(@desk, "s1/1/top+underside", "done", 2.hours.ago)
    log(@desk, "s2/1/top+underside", "done", 1.hour.ago)
    refusal = assert_raises(Rhexon::InvalidInput) do
      @desk.schedule.reload.edit!({ "op" => "place", "set" => { "support" => "points" } },
                                  base: @desk.schedule.head.number, reason: "Points")
    end
    assert_match(/already in the log as the piece lay then/, refusal.message)
  end
end
