require "test_helper"

# One piece and its schedule given to many people.
class ClassGivenTest < RequestTest
  NAMES = (1..30).map { |nth| format("Student %02d", nth) }.freeze

  setup do
    set_up_shop
    Room.first.update!(uses: %w[finish dry], rack_places: 120)
    steps = [ { "id" => "s1", "kind" => "sand", "grits" => %w[P120 P180] },
              coat("s2", product: "seal", method: "brush", wet_um: 60, role: "seal"),
              coat("s3", product: "seal", method: "brush", wet_um: 60, coats: 2) ]
    @piece = make_piece(name: "Sample board", steps: steps)
    @piece.faces.first.update!(area_m2: 0.04)
  end

  def give(names, count: 8) = send_json("/pieces/#{@piece.id}/class", { names: names, count: count })

  test "thirty students get eight boards each, and the teacher sees where they are" do
    give(NAMES)
    assert_response :ok
    assert_equal [ 30, 4 ], [ answer["places"].size, answer["steps"].size ]
    assert_equal NAMES, answer["places"].map { |one| one["person"] }.sort
    given = @piece.given.includes(:person, schedule: :head)
    assert_equal [ 8 ], given.map(&:count).uniq
    assert_equal [ @piece.schedule.reload.steps ], given.map { |one| one.schedule.steps }.uniq
    assert_operator answer["racks"].sole["most"], :<=, 120
    plan = ShopFloor.new.plan
    own = plan.placements.select { |one| one.pass.piece.by }
    assert_equal 120, own.count { |one| one.hands.any? && !one.pass.inserted }
    assert(own.all? { |one| one.person.nil? || one.person == one.pass.piece.by })
    get "/pieces/#{@piece.id}/class"
    assert_equal "Sample board", props["piece"]["name"]
  end

  test "who has it already keeps theirs, and another schedule afterwards is theirs alone" do
    give(%w[Ilse Jorn], count: 2)
    give([ "Jorn", " Ilse ", "Maren" ], count: 2)
    assert_equal %w[Ilse Jorn Maren], @piece.given.map { |one| one.person.name }.sort
    ilse = @piece.given.find { |one| one.person.name == "Ilse" }
    edit(ilse, { op: "change_step", id: "s3", set: { coats: 3 } })
    assert_response :ok
    assert_equal 2, @piece.schedule.reload.steps.last["coats"]
    get "/pieces/#{@piece.id}/class"
    assert_equal [ 5, 4, 4 ], props["places"].sort_by { |one| one["person"] }.map { |one| one["states"].size }
  end

  test "each sees their own bench on a device that is theirs, and others' hands stay off" do
    give(%w[Ilse Jorn], count: 2)
    send_json("/hands", { name: "Ilse" })
    get "/bench"
    assert_equal "Ilse", props["hands"]
    assert_equal [ "Sample board, Ilse" ], props["pieces"].map { |one| one["name"] }
    assert_equal [ "Ilse" ], props["bench"]["people"]
    key = props["bench"]["upcoming"].first["key"]
    send_json("/entries",
              { client_id: "a", kind: "started", pass: key, person: "Ilse", happened_at: Time.current.iso8601 })
    assert_equal [ key ], answer["bench"]["running"].map { |row| row["key"] }
    send_json("/hands", { name: "" })
    get "/bench"
    assert_nil props["hands"]
    assert_operator props["bench"]["people"].size, :>=, 3
  end

  # One gun, one rack and one person that all would have to share.
  test "a class moves nothing of the shop: no hands, no tools, no dates" do
    Tool.create!(name: "gun", used_for: "spray")
    Room.first.update!(rack_places: 30)
    3.times { |at| make_piece(name: "Panel #{at}", count: 4, steps: [ coat("s1", coats: 3) ]) }
    before = dates
    give(NAMES.first(8))
    assert_response :ok
    after = ShopFloor.new.plan
    assert_equal before, dates(after)
    assert_empty Person.where(role: "student", own_pieces_only: false)
    students = NAMES.first(8)
    hands = after.placements.reject { |one| one.pass.piece.by }.filter_map(&:person).uniq
    assert_empty hands & students
    get "/pieces/#{@piece.id}/schedule"
    assert_equal before, dates
  end

  # When each pass of the shop's own pieces begins.
  def dates(plan = ShopFloor.new.plan)
    plan.placements.reject { |one| one.pass.piece.by }.to_h { |one| [ one.pass.key, one.hands_start ] }
  end

  test "the tools of the shop are for a class only where the owner says so" do
    Tool.create!(name: "gun", used_for: "spray")
    edit(@piece, { op: "change_step", id: "s3", set: { method: "spray" } })
    assert_response :ok
    give(%w[Ilse])
    assert_match(/Spray needs a tool of the shop/, sentence)
    assert_equal 0, @piece.given.count
    send_json("/pieces/#{@piece.id}/class", { names: %w[Ilse], count: 1, tools: true })
    assert_response :ok
    Person.create!(name: "Osei", role: "finisher", password: "elm and old oak")
    Rails.configuration.x.demo = false
    send_json("/sign_in", { name: "Osei", password: "elm and old oak" })
    send_json("/pieces/#{@piece.id}/class", { names: %w[Jorn], count: 1, tools: true })
    assert_response :forbidden
  ensure
    Rails.configuration.x.demo = true
  end

  test "a whole class is removed and restored" do
    give(%w[Ilse Jorn], count: 2)
    log(@piece.given.first, "s1/1/top", "done", 1.hour.ago)
    before = dates
    send_json("/pieces/#{@piece.id}/class/removal", {})
    assert_equal [ [], true ], answer.values_at("places", "removed")
    assert_equal [ 0, before ], [ Person.at_bench.where(role: "student").count, dates ]
    assert_equal 1, Entry.where(kind: "done").count
    send_json("/pieces/#{@piece.id}/class/removal", {}, :delete)
    assert_equal [ %w[Ilse Jorn], false ], [ answer["places"].map { |one| one["person"] }.sort, answer["removed"] ]
    assert_equal 2, Person.at_bench.where(role: "student").count
  end

  test "what cannot be given is refused, and nobody begins by it" do
    people = Person.count
    { [ [], 8 ] => /Say who gets it/, [ [ "x" * 200 ], 8 ] => /Say who gets it/, [ [ "A" ], 0 ] => /cannot be given/,
      [ (1..61).map(&:to_s), 8 ] => /too many for one class/ }.each do |(names, count), words|
      give(names, count: count)
      assert_match words, sentence
    end
    empty = make_piece(name: "Bare")
    send_json("/pieces/#{empty.id}/class", { names: [ "A" ], count: 1 })
    assert_match(/nothing in the schedule/, sentence)
    assert_equal people, Person.count
  end
end
