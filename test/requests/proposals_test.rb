require "test_helper"
require "minitest/mock"

class ProposalsTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(wood: "oak", use: "table_top")
  end

  def ask(**wish) = send_json("/pieces/#{@piece.id}/ways", { wish: wish })
  def ids = answer["proposals"].map { |proposal| proposal["id"] }
  def fallen = answer["fallen"].to_h { |one| one.values_at("name", "reason") }

  def choose(system, **wish) = send_json("/pieces/#{@piece.id}/ways/choice", { wish: wish, system: system })

  test "the page begins with what is known of the piece" do
    @piece.update!(sheen_low: 20, sheen_high: 35, pores: "closed")
    get "/pieces/#{@piece.id}/ways"
    assert_equal({ "sheen" => [ 20, 35 ], "pores" => "closed", "gear" => %w[brush wipe pad roller] }, props["wish"])
    assert_equal [ "Desk top", 0, false ], props["piece"].values_at("name", "steps", "begun")
    assert_equal({ "water" => 3, "alcohol" => 2, "heat" => 2 }, props["asks"])
  end

  test "ways come with date, hands, film and what they bear, and the others say why not" do
    ask(gear: %w[brush wipe], sheen: [ 10, 40 ])
    assert_includes ids, "hardwax_oil"
    first = answer["proposals"].first
    assert first.values_at("ready_at", "hands_min", "coats").all?(Integer)
    assert_operator first["lacks"].size, :<=, answer["proposals"].last["lacks"].size
    assert_equal "no spray gear", fallen["Sprayed lacquer"]
    assert_equal "not for a table top", fallen["Wax alone"]
    ask(gear: %w[brush wipe], odour: 1)
    assert_equal "it smells", fallen["Brushed varnish"]
  end

  test "a way that is chosen is the schedule, with what is to buy on the shelf's list, and can be undone" do
    assert_difference(-> { Product.where(maker: "To buy:").count }, 1) { choose("hardwax_oil", gear: %w[wipe brush]) }
    assert_response :ok
    schedule = @piece.schedule.reload
    assert_equal "Chose: Hardwax oil", schedule.head.reason
    assert_equal %w[sand coat], schedule.steps.map { |step| step["kind"] }
    assert_equal Product.last.code, schedule.steps.last["product"]
    assert ShopFloor.new.plan.build.ready[@piece.core_id]
    assert_no_difference(-> { Product.count }) { choose("hardwax_oil", gear: %w[wipe brush]) }
    send_json("/pieces/#{@piece.id}/schedule/undo", { face: "top" })
    send_json("/pieces/#{@piece.id}/schedule/undo", { face: "top" })
    assert_empty @piece.schedule.reload.steps
  end

  test "what is not proposed is not chosen, and nothing is kept" do
    dull = { sheen: [ 90, 95 ] }
    [ [ "sprayed_lacquer", {} ], [ "magic", {} ], [ nil, {} ], [ "hardwax_oil", dull ] ].each do |id, wish|
      assert_no_difference([ -> { Product.count }, -> { Revision.count } ]) { choose(id, gear: %w[wipe brush], **wish) }
      assert_response :unprocessable_entity
      assert_predicate sentence, :present?
    end
  end

  test "nonsense wishes are refused in words" do
    [ { sheen: [ 1 ] }, { sheen: "matt" }, { gear: [] }, { gear: %w[magic] }, { odour: 9 }, { weights: { luck: 1 } },
      { due: "tomorrow" }, { pores: "half" } ].each do |wish|
      ask(**wish)
      assert_response :unprocessable_entity, wish.inspect
      assert_predicate sentence, :present?
    end
  end

  test "another way for a piece that is begun goes on from what is in the log" do
    @piece = make_piece(name: "Begun", steps: [ coat("s1", coats: 3) ])
    log(@piece, "s1/1/top", "done", 2.days.ago)
    get "/pieces/#{@piece.id}/ways"
    assert props["piece"]["begun"]
    ask(gear: %w[brush wipe])
    assert_operator ids.size, :>=, 2
    answer["proposals"].each { |one| assert_match(/W20/, one["steps"].first, one["id"]) }
    assert_equal "it would not get into the wood any more", fallen["Hardwax oil"]
    choose((ids - %w[waterborne_two_part]).first, gear: %w[brush wipe])
    assert_response :ok
    steps = @piece.schedule.reload.steps
    assert_equal [ "s1", 1 ], steps.first.values_at("id", "coats")
    assert_equal "level", steps.second["kind"]
  end

  test "a piece whose job is closed is told so" do
    @piece.job.update!(closed_at: Time.current)
    ask(gear: %w[brush])
    assert_response :unprocessable_entity
    assert_predicate sentence, :present?
  end

  def lines
    post "/pieces/#{@piece.id}/ways", params: { wish: { gear: %w[brush wipe] } }.to_json,
                                      headers: JSON_HEADERS.merge("Accept" => "application/json, application/x-ndjson")
    response.body.lines.map { |line| JSON.parse(line) }
  end

  test "the first few are told as they are made, then the answer, then the chances of its dates" do
    @piece.job.update!(due_at: 30.days.from_now)
    told = lines
    assert_equal %w[early early early answer], told.first(4).map { |line| line.keys.sole }
    whole = told[3]["answer"]
    chances = told.drop(4).map { |line| line["chances"] }.reduce(:merge)
    assert_equal whole["proposals"].map { |one| one["id"] }, chances.keys
    assert chances.values.all? { |share| share.between?(0, 1) }
    ask(gear: %w[brush wipe])
    assert_equal answer, whole
    @piece.job.update!(closed_at: Time.current)
    lines
    assert_response :unprocessable_entity
  end

  test "what fails while it is told is a last line with a sentence" do
    Rhexon::Systems::Ranking.stub(:new, ->(*) { raise "no luck" }) do
      assert_match(/could not be reckoned/, lines.last.dig("error", "sentence"))
    end
  end

  test "what nobody has said is told, and what it is now stands beside the ways" do
    @piece.update!(use: nil)
    get "/pieces/#{@piece.id}/ways"
    assert_includes props["assumed"], "its use: nothing is asked of it but to be looked at"
    ask(gear: %w[brush wipe])
    assert_nil answer["standing"]
    @piece = make_piece(name: "Planned", steps: [ coat("s1", coats: 2) ])
    ask(gear: %w[brush wipe])
    assert_equal [ 2, ShopFloor.new.plan.build.ready.fetch(@piece.core_id) ],
                 answer["standing"].values_at("coats", "ready_at"), "as the shop's plan has it"
  end

  test "looks to choose from are of the wood, of boards that were read, and of other woods" do
    board = Board.create!(name: "B", wood: "oak", grain: "open", width_mm: 400, height_mm: 300, made_on: Date.current)
    cell = board.cells.create!(label: "1", position: 0, layers: [ coat("s1") ])
    cell.readings.create!(client_id: "r1", kind: "lab", value: [ 40, 10, 20 ], taken_at: Time.current,
                          observer: "Imke", light: "D65")
    get "/pieces/#{@piece.id}/ways/looks", headers: JSON_HEADERS
    assert_operator answer["tiles"].size, :>=, 3
    tile = answer["boards"].sole
    assert_equal [ "Cell 1 of B", [ 40, 10, 20 ], Rhexon::Colour::Lab.hex([ 40, 10, 20 ]) ],
                 [ tile["words"], tile["lab"].map(&:round), tile["hex"] ]
    assert_includes answer["woods"].map { |tile| tile["words"] }, "walnut"
    @piece.update!(wood: "ooze")
    get "/pieces/#{@piece.id}/ways/looks", headers: JSON_HEADERS
    assert_empty answer["tiles"]
  end

  test "a board tries what nobody can be sure of, and the schedule stays as it was" do
    assert_difference(-> { Trial.count } => 2, -> { Revision.count } => 0) do
      2.times do
        send_json("/pieces/#{@piece.id}/ways/trial", { wish: { gear: %w[wipe brush] }, system: "hardwax_oil" })
      end
    end
    trial = Trial.order(:id).first
    assert_equal "/boards/#{Trial.last.boards.first.id}", answer["location"]
    assert_equal [ "Hardwax oil for Desk top", 2, 4 ],
                 [ trial.name, trial.factors.size, trial.cells.where(role: "run").size ]
    assert_equal "Hardwax oil for Desk top, 2", Trial.last.name
    send_json("/pieces/#{@piece.id}/ways/trial", { wish: {}, system: "magic" })
    assert_response :unprocessable_entity
  end

  test "two hours to go: the soonest are told, and that they are late" do
    @piece.job.update!(due_at: 2.hours.from_now)
    ask(gear: %w[brush wipe])
    assert answer["late"]
    assert_equal 3, ids.size
    assert(fallen.values.any? { |reason| reason.match?(/\Aready .* late\z/) }, "the others are later still")
  end
end
