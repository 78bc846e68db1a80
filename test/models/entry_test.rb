require "test_helper"

class EntryTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
  end

  def record(id: "a", at: Time.current, kind: "started")
    Entry.record!(client_id: id, kind: kind, happened_at: at, piece: @piece, pass_key: "#{@piece.core_id}/s1/1/top",
                  body: {})
  end

  test "the same id again is not a second entry" do
    assert_equal record, record
    assert_equal 1, Entry.count
  end

  test "the same id with other content is a conflict" do
    record
    assert_raises(Entry::Conflict) { record(kind: "done") }
  end

  test "the future is refused, two minutes of a fast clock are not" do
    assert_raises(Rhexon::InvalidInput) { record(at: 3.minutes.from_now) }
    assert record(at: 1.minute.from_now)
  end

  test "the plan follows the log, and a correction takes an entry out again" do
    record(at: 10.minutes.ago)
    done = record(id: "b", kind: "done", at: Time.current)
    first = ShopFloor.new.plan.of_piece(@piece.core_id).first
    assert_equal [ "done", Time.current.to_i / 60 ], [ first.status, first.work_end ]
    Entry.record!(client_id: "c", kind: "correction", happened_at: Time.current, piece: @piece, corrects: done,
                  body: {})
    assert_equal "running", ShopFloor.new.plan.of_piece(@piece.core_id).first.status
    assert_equal [ "started" ], Entry.standing(@piece).map(&:kind)
  end

  test "an entry can be taken back once" do
    entry = record
    Entry.record!(client_id: "c", kind: "correction", happened_at: Time.current, piece: @piece, corrects: entry,
                  body: {})
    assert_raises(Rhexon::InvalidInput) do
      Entry.record!(client_id: "d", kind: "correction", happened_at: Time.current, piece: @piece, corrects: entry,
                    body: {})
    end
  end
end
