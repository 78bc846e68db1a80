require "test_helper"

class BenchRequestTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    @pass = "#{@piece.core_id}/s1/1/top"
  end

  def touch(kind, id: SecureRandom.uuid, at: Time.current, **more)
    send_json("/entries", { client_id: id, kind: kind, happened_at: at.iso8601, pass: @pass, **more })
  end

  test "start, done and a dry test move the bench on" do
    get "/bench"
    assert_equal [ @pass ], props["bench"]["upcoming"].map { |row| row["key"] }.first(1)
    touch("started")
    assert_equal [ @pass ], answer["bench"]["running"].map { |row| row["key"] }
    travel 5.minutes
    touch("done")
    slab = answer["bench"]["drying"].first
    assert_equal [ "too_soon", "recoat_opens" ], slab.values_at("state", "milestone")
    assert_equal 90, slab["opens_at"] - slab["row"]["work_end"]
    travel 60.minutes
    touch("dry_test", milestone: "recoat_opens", answer: "dry")
    assert_equal "open", answer["bench"]["drying"].first["state"]
  end

  test "who began it stands in the log and in the plan" do
    Person.create!(name: "Osei", skills: [])
    touch("started", person: "Wren")
    assert_match(/Wren is not among the people/, sentence)
    touch("started", person: "Osei")
    assert_equal({ "person" => "Osei" }, Entry.last.body)
    assert_equal "Osei", answer["bench"]["running"].first["person"]
  end

  test "a double tap is one entry" do
    2.times { touch("started", id: "tap", at: MONDAY) }
    assert_response :ok
    assert_equal 1, Entry.count
    touch("done", id: "tap", at: MONDAY)
    assert_response :conflict
  end

  test "a repeat after the schedule has changed is still the same entry" do
    touch("started", id: "tap", at: MONDAY)
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 3 } })
    touch("started", id: "tap", at: MONDAY)
    assert_response :ok
    assert_equal 1, Entry.count
  end

  test "what cannot have happened is refused with a sentence" do
    touch("dry_test", milestone: "touch", answer: "dry")
    assert_match(/not done yet/, sentence)
    touch("started", at: 1.hour.from_now)
    assert_match(/has not happened yet/, sentence)
    touch("danced")
    assert_match(/no entry of kind/, sentence)
    @pass = "#{@piece.core_id}/s7/1/top"
    touch("started")
    assert_match(/no such work/, sentence)
    @pass = "p9999/s1/1/top"
    touch("started")
    assert_response :not_found
    assert_equal 0, Entry.count
  end

  test "work is begun once and done once" do
    touch("started")
    touch("started")
    assert_match(/already begun/, sentence)
    touch("done")
    touch("done")
    assert_match(/already done/, sentence)
  end

  test "take it back" do
    touch("started")
    send_json("/entries",
              { client_id: "back", kind: "correction", corrects: Entry.last.id, happened_at: Time.current.iso8601 })
    assert_response :ok
    assert_empty answer["bench"]["running"]
    assert_equal 2, Entry.count, "the log keeps both"
  end

  test "a piece whose job is closed leaves the bench" do
    @piece.job.update!(closed_at: Time.current)
    get "/bench"
    assert_empty props["bench"]["upcoming"]
  end
end
