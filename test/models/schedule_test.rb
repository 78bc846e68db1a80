require "test_helper"

class ScheduleTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    @piece = make_piece(steps: [ { "id" => "s1", "kind" => "sand", "grits" => [ "P180" ] }, coat("s2", coats: 2) ])
    @schedule = @piece.schedule.reload
  end

  def edit(operation, base: @schedule.reload.head.number) = @schedule.edit!(operation, base: base, reason: "because")

  def change(set, id = "s2") = { "op" => "change_step", "id" => id, "set" => set }

  test "undo restores the document and redo brings it back" do
    before = @schedule.document
    edit(change({ "wet_um" => 80 }))
    after = @schedule.document
    @schedule.undo!
    assert_equal before, @schedule.reload.document
    @schedule.redo!
    assert_equal after, @schedule.reload.document
  end

  test "undo of every edit leads back to the beginning" do
    documents = [ @schedule.document ]
    [
      change({ "wet_um" => 80 }), { "op" => "split_coats", "id" => "s2", "keep" => 1, "new_id" => "s3" },
      { "op" => "move_step", "id" => "s3", "after" => nil }, { "op" => "remove_step", "id" => "s1" }
    ].each do |operation|
      edit(operation)
      documents << @schedule.document
    end
    documents.reverse.drop(1).each do |document|
      @schedule.undo!
      assert_equal document, @schedule.reload.document
    end
  end

  test "a new edit after an undo leaves the other branch readable" do
    edit(change({ "wet_um" => 80 }))
    @schedule.undo!
    edit(change({ "wet_um" => 60 }))
    assert_nil @schedule.reload.redo
    assert_equal 5, @schedule.revisions.count
    assert_equal [ 5, 3, 2, 1 ], @schedule.lineage.map(&:number)
  end

  test "an edit on an old revision is stale and says what came since" do
    base = @schedule.head.number
    edit(change({ "wet_um" => 80 }))
    error = assert_raises(Schedule::Stale) { edit(change({ "coats" => 3 }), base: base) }
    assert_equal [ base + 1 ], error.since.map(&:number)
    assert_equal 2, @schedule.reload.document["steps"].last["coats"]
  end

  test "nothing is kept of an edit that is refused" do
    assert_no_difference -> { Revision.count } do
      assert_raises(Rhexon::InvalidInput) { edit(change({ "wet_um" => -5 })) }
      assert_raises(Rhexon::InvalidInput) { edit(change({ "product" => "nope" })) }
      assert_raises(Rhexon::InvalidInput) { edit({ "op" => "remove_step", "id" => "s9" }) }
    end
  end

  test "a logged coat is frozen, the coats to come are not" do
    log(@piece, "s1/1/top", "done", 2.hours.ago)
    log(@piece, "s2/1/top", "done", 1.hour.ago)
    error = assert_raises(Rhexon::InvalidInput) { edit(change({ "wet_um" => 80 })) }
    assert_match(/already in the log/, error.message)
    assert_raises(Rhexon::InvalidInput) { edit({ "op" => "remove_step", "id" => "s1" }) }
    assert_raises(Rhexon::InvalidInput) { edit({ "op" => "add_step", "after" => nil, "step" => coat("s8") }) }
    assert_raises(Rhexon::InvalidInput) { @schedule.undo! }
    edit(change({ "coats" => 3 }))
    edit({ "op" => "split_coats", "id" => "s2", "keep" => 1, "new_id" => "s3" })
    edit(change({ "wet_um" => 80 }, "s3"))
    assert_equal [ 100, 80 ], @schedule.document["steps"].last(2).map { |step| step["wet_um"] }
  end

  test "promotion links both ways and undo takes the link back" do
    board = Board.create!(name: "Board 1", wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                          made_on: Date.new(2026, 11, 1))
    cell = board.cells.create!(label: "1", position: 0, layers: [ coat("s1", wet_um: 70) ])
    @schedule.promote!(cell.promotion(@piece, {}, today: Date.new(2026, 11, 23)), cell)
    assert_equal cell, @schedule.reload.from_cell
    assert_equal [ @piece ], cell.reload.schedules.map(&:piece)
    assert_equal 70, @schedule.document["steps"].first["wet_um"]
    edit(change({ "wet_um" => 75 }, "s1"))
    assert_equal cell, @schedule.reload.from_cell
    2.times { @schedule.undo! }
    assert_nil @schedule.reload.from_cell
  end
end
