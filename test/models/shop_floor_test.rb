require "test_helper"

# Records to core: what the plan is made from.
class ShopFloorTest < ActiveSupport::TestCase
  setup { set_up_shop }

  def core = ShopFloor.new.to_core

  test "hours, holidays and rooms" do
    OpenHour.create!(date: Date.new(2026, 12, 24))
    OpenHour.create!(date: Date.new(2026, 12, 31), opens: "08:00", closes: "12:00")
    person = core["people"].first
    assert_equal [ "Imke", [ %w[07:30 16:30] ] ], [ person["id"], person["week"]["mon"] ]
    assert_equal [
      { "date" => "2026-12-24", "open" => [] }, { "date" => "2026-12-31", "open" => [ %w[08:00 12:00] ] }
    ],
                 person["except"]
    assert_equal [ { "t_c" => 20.0, "rh" => 50.0, "air" => "ordinary" } ], core["rooms"].first["climate"]
  end

  test "a person's own hours go before the shop's, the shop's holidays stay" do
    OpenHour.create!(date: Date.new(2026, 12, 24))
    Person.first.open_hours.create!(weekday: 6, opens: "08:00", closes: "12:00")
    person = core["people"].first
    assert_equal [ "sat" ], person["week"].keys
    assert_equal [ "2026-12-24" ], person["except"].map { |day| day["date"] }
  end

  test "the plan counts on everybody at the bench, with what they are trained for, and on nobody who is away" do
    Person.create!(name: "Osei", skills: [])
    Person.create!(name: "Wren", at_bench: false)
    assert_equal [ [ "Imke", nil, nil ], [ "Osei", [], nil ], [ "Wren", nil, true ] ],
                 core["people"].map { |person| person.values_at("id", "skills", "away") }
    make_piece(steps: [ coat("s1") ])
    assert_equal %w[Imke Osei], ShopFloor.new.plan.shop.people.map(&:id)
  end

  test "rooms, guns, the goal and the plan that was kept" do
    Room.first.update!(uses: %w[spray], rack_places: 12)
    Tool.create!(name: "gravity gun", used_for: "spray")
    Shop.current.update!(goal: "fewest_sessions")
    piece = make_piece(steps: [ coat("s1") ])
    ShopFloor.new.keep!
    assert_equal [ %w[spray], 12 ], core["rooms"].first.values_at("uses", "rack_places")
    assert_equal [ { "id" => "gravity gun", "for" => "spray" } ], core["tools"]
    assert_equal "fewest_sessions", core["goal"]
    assert_equal [ "#{piece.core_id}/s1/1/top" ], core["previous"].map { |start| start["pass"] }
  end

  test "only pieces of jobs in hand, with their document in force and their due date" do
    open = make_piece(name: "Open", steps: [ coat("s1") ])
    make_piece(name: "Closed", steps: [ coat("s1") ]).job.update!(closed_at: Time.current)
    piece = core["pieces"].sole
    assert_equal [ open.core_id, "2026-12-18T16:00+01:00", "s1" ],
                 [ piece["id"], piece["due"], piece["schedule"]["steps"].first["id"] ]
  end

  test "the log goes in order, without what was taken back and without notes" do
    piece = make_piece(steps: [ coat("s1") ])
    log(piece, "s1/1/top", "done", 1.minute.ago)
    log(piece, "s1/1/top", "started", 10.minutes.ago)
    wrong = log(piece, "s1/1/top", "dry_test", Time.current, { "milestone" => "touch", "answer" => "dry" })
    assert_equal %w[started done dry_test], core["log"].map { |entry| entry["kind"] }
    Entry.record!(client_id: "back", kind: "correction", happened_at: Time.current, piece: piece, corrects: wrong,
                  body: {})
    assert_equal %w[started done], core["log"].map { |entry| entry["kind"] }
  end

  test "a product's own figures go before its class" do
    w20 = core["products"].find { |product| product["id"] == "w20" }
    assert_equal [ "Skerrow W20 clear satin", 28, "waterborne_two_part" ], w20.values_at("name", "sheen_gu", "class")
    assert_not Product.new(code: "x", maker: "M", name: "N", kind: "magic", role: "r").valid?
  end

  test "the same shop is planned once" do
    make_piece(steps: [ coat("s1") ])
    assert_same ShopFloor.new.plan, ShopFloor.new.plan
    travel 1.minute
    first = ShopFloor.new.plan
    Room.first.update!(t_c: 15)
    assert_not_same first, ShopFloor.new.plan
    assert_operator ShopFloor.new.plan.build.ready.values.first, :>, first.build.ready.values.first
  end

  test "a shop without people or rooms says so" do
    OpenHour.where.not(person: nil).delete_all
    Person.delete_all
    assert_match(/Nobody works at the bench/, assert_raises(Rhexon::InvalidInput) { core }.message)
    Person.create!(name: "Osei")
    Room.delete_all
    assert_match(/no room yet/, assert_raises(Rhexon::InvalidInput) { core }.message)
  end

  test "a field that was kept once and that its kind of step does not have stops nothing" do
    piece = make_piece(steps: [ coat("s1") ])
    poison(piece, { "format" => "rhexon-schedule/2",
                    "steps" => [ coat("s1"), { "id" => "s2", "kind" => "look", "wipe_off" => true } ] })
    assert_empty ShopFloor.new.aside
    assert_equal %w[s1 s2], ShopFloor.new.plan.of_piece(piece.core_id).map { |one| one.pass.step["id"] }
  end
end
