require "test_helper"
require "minitest/mock"

# The plan that is kept, as the bench tells of it. Imke works from 07:30; it is Monday, eight o'clock.
class KeptPlanTest < RequestTest
  setup do
    set_up_shop
    @desk = make_piece(name: "Desk", steps: [ coat("s1", coats: 2) ])
    @lid = make_piece(name: "Lid", steps: [ coat("s1", coats: 2) ])
    ShopFloor.new.keep!
  end

  def key(piece, coat) = "#{piece.core_id}/s1/#{coat}/top"

  def touch(kind, pass, at: Time.current, headers: {}, status: :ok, **more)
    body = { client_id: SecureRandom.uuid, kind: kind, pass: pass, happened_at: at.iso8601, **more }
    post "/entries", params: body.to_json, headers: { **JSON_HEADERS, **headers }
    assert_response status if status
  end

  def places = PlannedPass.pluck(:pass_key, :start_min).to_h
  def start_of(pass) = Time.zone.at(places.fetch(pass) * 60)

  test "what is done on time moves nothing, and says so" do
    before = places
    travel_to start_of(key(@desk, 1))
    touch("started", key(@desk, 1))
    assert_equal before, places
    assert_equal [ nil, nil, [] ], answer["noted"].values_at("next", "ready", "others")
    assert_empty answer["moved"]
  end

  # It dries for 90 minutes. Not yet when the next coat was planned: that comes later, and nothing of the lid moves.
  test "not yet moves the next coat of its piece, and taken back it stands where it stood" do
    travel_to start_of(key(@desk, 1))
    touch("started", key(@desk, 1))
    travel 25.minutes
    touch("done", key(@desk, 1))
    before = places
    travel_to start_of(key(@desk, 2))
    touch("dry_test", key(@desk, 1), milestone: "recoat_opens", answer: "not_yet")
    noted = answer["noted"]
    assert_equal [ key(@desk, 2), before.fetch(key(@desk, 2)) ], noted["next"].values_at("key", "from")
    assert_operator noted["next"]["to"], :>, noted["next"]["from"]
    assert_operator noted["ready"].last, :>, noted["ready"].first
    assert_includes answer["moved"].map { |move| move["key"] }, key(@desk, 2)
    touch("correction", nil, corrects: Entry.order(:id).last.id)
    assert_equal before.fetch(key(@desk, 2)), places.fetch(key(@desk, 2))
  end

  test "work is taken up before its turn by its address, and only where it is not begun" do
    get "/bench", params: { pass: key(@lid, 2) }
    assert_equal key(@lid, 2), props["bench"]["chosen"]["key"]
    touch("started", key(@lid, 2))
    get "/bench", params: { pass: key(@lid, 2) }
    assert_nil props["bench"]["chosen"]
    get "/bench", params: { pass: "p0/s9/1/top" }
    assert_nil props["bench"]["chosen"]
  end

  # The tablet is twenty minutes fast: what it notes is put right, what somebody typed is not.
  test "a time that is typed is the shop's, whatever the clock of the device says" do
    fast = { "X-Device-Time" => 20.minutes.from_now.iso8601 }
    touch("started", key(@desk, 1), at: 2.days.ago, headers: fast, shop_time: true)
    assert_equal 2.days.ago.change(sec: 0), Entry.last.happened_at
    touch("done", key(@desk, 1), at: 20.minutes.from_now, headers: fast)
    assert_equal Time.current.change(sec: 0), Entry.last.happened_at.change(sec: 0)
  end

  # The answer says that it is in the log; the plan follows when it is asked for, told as of that touch.
  test "a touch is taken in before the shop is planned with it, and settles then" do
    travel_to start_of(key(@desk, 1)) + 40.minutes
    before = places
    touch("started", key(@desk, 1), headers: { "Prefer" => "respond-async" }, status: :accepted)
    entry = Entry.last
    assert_equal({ "entry" => entry.id, "settle" => "/entries/#{entry.id}/settling" }, answer)
    assert_equal before, places
    2.times { send_json(answer["settle"] || "/entries/#{entry.id}/settling", {}) }
    assert_equal [ key(@desk, 1) ], answer["bench"]["running"].map { |row| row["key"] }
    assert_equal [ entry.id, key(@desk, 2) ], answer["noted"].then { |noted| [ noted["id"], noted.dig("next", "key") ] }
    assert_operator places.fetch(key(@desk, 2)), :>, before.fetch(key(@desk, 2))
  end

  # While it settles somebody else moves the lid by an hour: that stands.
  test "what others write while a touch settles is not written over" do
    travel_to start_of(key(@desk, 1)) + 40.minutes
    touch("started", key(@desk, 1), headers: { "Prefer" => "respond-async" }, status: :accepted)
    later = places.fetch(key(@lid, 2)) + 24 * 60
    moves = [ { "pass" => key(@lid, 2), "start" => Shop.current.clock.iso(later), "person" => "Imke" } ]
    ShopFloor.stub(:new, ->(**given) {
      ShopFloor.allocate.tap do |floor|
        floor.send(:initialize, **given)
        floor.define_singleton_method(:plan) { super().tap { Plan::Kept.take!(moves.slice!(0..)) if moves.any? } }
      end
    }) { Plan::Settling.new(Entry.last).settle! }
    assert_equal later, places.fetch(key(@lid, 2))
    assert_operator places.fetch(key(@desk, 2)), :>, start_of(key(@desk, 1)).to_i / 60
  end

  test "what cannot be planned with its piece is not taken in, and what cannot be drawn is taken back" do
    broken = ->(*) { raise ZeroDivisionError, "divided by 0" }
    Rhexon::Search::Keeping.stub(:new, broken) do
      assert_no_difference(-> { Entry.count }) do
        touch("started", key(@desk, 1), headers: { "Prefer" => "respond-async" }, status: nil)
      end
    end
    assert_match(/nothing was kept/, sentence)
    touch("started", key(@desk, 1), headers: { "Prefer" => "respond-async" }, status: :accepted)
    send_json("/entries/#{Entry.last.id}/settling", {})
    DrawnJob.perform_now(Entry.last)
    assert_equal "started", Entry.last.kind, "it can be drawn"
    ShopFloor.forget
    Rhexon::Picture::Section.stub(:new, broken) { DrawnJob.perform_now(Entry.last) }
    assert_equal "correction", Entry.last.kind
    get "/bench"
    assert_empty props["bench"]["running"]
  end

  # Both wait for Imke at half past seven: the desk first. Marked urgent, the lid goes first.
  test "what is marked urgent goes before what stands, and its job says so for all its pieces" do
    first = ->() { [ @desk, @lid ].min_by { |piece| places.fetch(key(piece, 1)) } }
    assert_equal @desk, first.call
    send_json("/jobs/#{@lid.job_id}", { priority: "urgent" }, :patch)
    assert_response :ok
    assert_equal @lid, first.call
    @lid.update!(priority: "when_time")
    assert_equal "when_time", @lid.to_core(Shop.current.clock)["priority"]
    send_json("/jobs/#{@lid.job_id}", { priority: "now" }, :patch)
    assert_match(/Choose a priority/, sentence)
  end

  # Monday, 08:00; both coats were laid on last week.
  test "a piece that comes half done is logged in one go, all of it or none" do
    work = ->(coat, day) {
      { pass: key(@desk, coat), started: "2026-11-#{day}T14:00Z", done: "2026-11-#{day}T14:30Z" }
    }
    path = "/pieces/#{@desk.id}/past_work"
    assert_no_difference(-> { Entry.count }) do
      send_json(path, { client_id: "a", person: nil, passes: [ work.(1, 18), work.(3, 19) ] })
      assert_match(/no such work/, sentence)
      send_json(path, { client_id: "a", passes: [ work.(1, 18).merge(done: "2026-11-18T13:00Z") ] })
      assert_match(/end is before the start/, sentence)
      send_json(path, { client_id: "a", passes: [] })
      assert_match(/Choose the steps/, sentence)
      send_json(path, { client_id: "a", passes: [ work.(1, 18).merge(pass: key(@lid, 1)) ] })
      assert_match(/only work on Desk/, sentence)
    end
    passes = { client_id: "a", person: "Imke", passes: [ work.(1, 18), work.(2, 19) ] }
    2.times { send_json(path, passes) }
    assert_equal 4, Entry.count, "sent twice, logged once"
    assert_equal %w[done done], answer["sheet"]["rows"].map { |row| row["status"] }
    assert_equal Time.utc(2026, 11, 19, 14, 30), Entry.order(:happened_at).last.happened_at
  end

  test "what moved over night is told in the morning, and after a week no more" do
    travel_to Time.zone.parse("2026-11-23 23:00")
    late = places.fetch(key(@lid, 2)) + 120
    Plan::Kept.take!([ { "pass" => key(@lid, 2), "start" => Shop.current.clock.iso(late), "person" => "Imke" } ])
    travel_to Time.zone.parse("2026-11-24 06:00")
    get "/bench"
    assert_includes props["moved"].map { |move| move["key"] }, key(@lid, 2)
    travel_to Time.zone.parse("2026-12-02 06:00")
    ShopFloor.new.keep!
    assert_operator PlanMove.minimum(:at), :>, 1.day.ago
  end
end
