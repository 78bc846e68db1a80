require "test_helper"

# What the log has taught, as its page shows it, and what is forgotten.
class OwnFiguresTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ { "id" => "s1", "kind" => "sand", "grits" => %w[P150] }, coat("s2", coats: 3) ])
    4.times { |index| sanded(make_piece(name: "Board #{index}", steps: [ sand ]), 12, (index + 2).days.ago) }
    laid = 1.day.ago
    log(@piece, "s2/1/top", "done", laid)
    { 60 => "not_yet", 100 => "not_yet", 130 => "dry" }.each do |minutes, answer|
      log(@piece, "s2/1/top", "dry_test", laid + minutes.minutes, { "milestone" => "recoat_opens", "answer" => answer })
    end
  end

  def sand = { "id" => "s1", "kind" => "sand", "grits" => %w[P150] }

  def sanded(piece, minutes, at, person: "Imke")
    log(piece, "s1/1/top", "started", at, { "person" => person })
    log(piece, "s1/1/top", "done", at + minutes.minutes)
  end

  def figures
    get "/record/figures"
    props
  end

  def w20 = figures["drying"].find { |one| one["product"] == "w20" && one["phase"] == "early" }

  test "a coat that was looked at stands between its looks, and the times beside the sheet's follow it" do
    dried = w20
    assert_equal 1, dried["coats"]
    lesson = dried["lessons"].sole
    assert_operator lesson["from"], :<, lesson["to"]
    assert_operator dried["low"], :<, dried["factor"]
    recoat = dried["times"].find { |one| one["name"] == "recoat opens" }
    assert_in_delta recoat["sheet_min"] * dried["factor"], recoat["own_min"], 1
    assert_equal 1, figures["noise"]["coats"]
  end

  test "what the shop says of its hands goes before what they taught" do
    new = make_piece(name: "Next board", steps: [ sand ])
    work = -> { ShopFloor.new.plan.of_piece(new.core_id).first.pass.work_min.to_f }
    taught = work.()
    send_json("/record/paces", { work: "sand", factor: 4 })
    assert_equal [ { "id" => "sand", "work" => "Sand", "factor" => 4 } ], answer["said"]
    assert_operator work.(), :>, taught * 2
    send_json("/record/paces", { work: "sand", factor: nil })
    assert_equal [ [], taught ], [ answer["said"], work.() ]
    { { work: "dance", factor: 1 } => "work", { work: "sand", factor: 9 } => "factor",
      { work: "sand", factor: "x" } => "factor" }.each do |wrong, where|
      send_json("/record/paces", wrong)
      assert_equal where, answer.dig("error", "where")
    end
  end

  test "hands are told by work and by person, and from three works on plans reckon with them" do
    pace = figures["pace"].find { |one| one["work"] == "Sand" }
    assert_equal [ 4, true, "Imke" ], [ pace["times"], pace["counts"], pace["people"].sole["person"] ]
    new = make_piece(name: "Next board", steps: [ sand ])
    own = ShopFloor.new.plan.hands_min(new.core_id)
    reckoned = Rhexon::Search::Planner.plan(
      Rhexon::Planning::Shop.new(ShopFloor.new.to_core.merge("pace" => []))
    ).hands_min(new.core_id)
    set_up = Rhexon::Reference.hands.session_min["usual"]
    assert_in_delta (reckoned - set_up) * pace["factor"], own - set_up, 1
    assert_not_equal reckoned, own
  end

  # 100 µm by the comb of 1 g/ml on 1 m² are 100 g; 200 g left the pot: half of it landed, where 0.7 is usual.
  # ln(0.5/0.7) = -0.3365, believed from three coats with s 0.35 and 0.25: m = -0.3365 · 48 / (8.163 + 48) = -0.2876.
  test "what lands is told by comb and pot, and from three coats on plans mix by it and say so" do
    Product.find_by!(code: "w20").update!(figures: { "density_g_per_ml" => 1.0 })
    before = planned_ml
    3.times do |index|
      piece = make_piece(name: "Door #{index}", steps: [ coat("s1") ])
      at = (index + 3).days.ago
      log(piece, "s1/1/top", "started", at)
      log(piece, "s1/1/top", "measured", at + 20.minutes, { "comb_um" => [ 100 ], "pot_g" => [ 900, 700 ] })
      log(piece, "s1/1/top", "done", at + 30.minutes)
    end
    way = figures["shares"].find { |one| one["what"] == "transfer" }["ways"].sole
    assert_equal [ "sprayed, turbine", 3, "50 % of the pot", true ], way.values_at("way", "times", "own", "counts")
    assert_in_delta Math.exp(-0.2876), way["factor"], 0.01
    assert_in_delta before / Math.exp(-0.2876), planned_ml, 1
    get "/pieces/#{@piece.id}/schedule"
    coat = props["sheet"]["rows"].find { |row| row["key"].end_with?("s2/2/top") }
    assert_in_delta way["factor"], coat["own"]["lands"], 0.01
  end

  def planned_ml
    get "/pieces/#{@piece.id}/schedule"
    props["sheet"]["rows"].find { |row| row["key"].end_with?("s2/2/top") }["laid_on_ml"]
  end

  test "what was taught can be forgotten and remembered again, and plans follow" do
    before = w20["factor"]
    send_json("/record/figures", { product: "w20", phase: "early" })
    assert_response :ok
    gone = w20
    assert_equal [ 0, 1.0 ], gone.values_at("coats", "factor")
    assert_kind_of Integer, gone["forgotten_at"]
    assert_empty ShopFloor.new.to_core["beliefs"].select { |one| one["product"] == "w20" && one["group"] == "early" }
    ForgottenLesson.sole.update!(created_at: 3.hours.ago)
    log(@piece, "s2/2/top", "done", 2.hours.ago)
    log(@piece, "s2/2/top", "dry_test", 10.minutes.ago, { "milestone" => "recoat_opens", "answer" => "dry" })
    assert_equal 1, w20["coats"], "what comes after it teaches anew"
    send_json("/record/figures", { product: "w20", phase: "early" }, :delete)
    assert_equal 2, w20["coats"]
    assert_not_equal 1.0, before
    send_json("/record/figures", { product: "w20", phase: "luck" })
    assert_response :unprocessable_entity
    send_json("/record/figures", { product: "nothing", phase: "early" })
    assert_response :not_found
  end

  test "one piece that cannot be read takes nothing from what the others teach" do
    bad = make_piece(name: "Bad", steps: [ coat("s1", product: "seal") ])
    log(bad, "s1/1/top", "started", 3.hours.ago)
    bad.job.update!(closed_at: Time.current)
    Product.find_by!(code: "seal").update_columns(code: "gone")
    ShopFloor.forget
    assert_equal 1, w20["coats"]
  end

  test "the figures go out as a file" do
    get "/record/figures.json"
    file = JSON.parse(response.body)
    assert_equal "rhexon-figures/1", file["format"]
    assert_equal [ "w20", "early", 1 ], file["beliefs"].first.values_at("product", "group", "coats")
  end
end
