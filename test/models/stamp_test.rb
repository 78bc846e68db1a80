require "test_helper"
require "minitest/mock"

# Whatever is written shows, by whatever hand: what was read before is read again then and only then.
class StampTest < ActiveSupport::TestCase
  # What no plan, shelf or lesson is made from, or goes by its revision.
  BESIDE = %w[
    active_storage_attachments active_storage_blobs air_readings ar_internal_metadata audit_lines
    entry_words entry_words_config
    entry_words_content entry_words_data entry_words_docsize entry_words_idx given_quotes guest_links hand_readings
    instruments marks pair_picks photos plan_moves planned_pieces recipes revisions schedules schema_migrations
    sessions template_versions templates trials
  ].freeze

  test "each table leaves marks, or is known to be beside the plans" do
    assert_empty ApplicationRecord.connection.tables - Stamp::TABLES - BESIDE - [ Stamp::PLANNED ],
                 "a new table: plans are made from it, with triggers of its own, or they are not"
    made = ApplicationRecord.connection.select_values("SELECT name FROM sqlite_master WHERE type = 'trigger'")
    verbs = %w[insert update delete]
    wanted = [ *Stamp::TABLES, Stamp::PLANNED ].flat_map { |table| verbs.map { |verb| "#{table}_mark_#{verb}" } }
    assert_empty wanted - made, "a table that was rebuilt has lost its triggers"
  end

  test "rows that are added, changed without a record and deleted leave other marks, and no others do" do
    set_up_shop
    seen = [ mark("tools") ]
    [
      -> { Tool.create!(name: "Gun", used_for: "spray") }, -> { Tool.update_all(name: "Gun 2") },
      -> { Tool.where(name: "Gun 2").delete_all }
    ].each { |write| write.call.then { seen << mark("tools") } }
    assert_equal seen, seen.uniq
    others = (Stamp::TABLES - [ "tools" ]).map { |table| mark(table) }
    Tool.create!(name: "Gun", used_for: "spray")
    assert_equal others, (Stamp::TABLES - [ "tools" ]).map { |table| mark(table) }
  end

  test "records are read again after a write, and one piece only after an edit" do
    set_up_shop
    desk, stool = %w[Desk Stool].map { |name| make_piece(name: name, steps: [ coat("s1") ]) }
    ShopFloor.new.plan
    asked = queries { ShopFloor.new.to_core }
    assert_operator asked.size, :<=, 4, asked.join("\n")
    desk.schedule.edit!({ "op" => "change_step", "id" => "s1", "set" => { "coats" => 3 } }, base: 2, reason: "Test")
    core = ShopFloor.new.to_core
    assert_equal [ 3, 1 ], core["pieces"].map { |piece| piece["schedule"]["steps"].first["coats"] }
    stool.update_columns(count: 4)
    assert_equal [ 1, 4 ], ShopFloor.new.to_core["pieces"].map { |piece| piece["count"] }
  end

  # A plan of thousands of passes takes seconds: it stands for ten minutes where nothing was written.
  test "the plan of a large shop stands for a while" do
    set_up_shop
    desk = make_piece(steps: [ coat("s1") ])
    plan = ShopFloor.new.plan
    travel 5.minutes
    assert_not_same plan, ShopFloor.new.plan, "a small one is made anew with each minute"
    plan = ShopFloor.new.plan
    plan.model.stub(:large?, true) do
      travel 9.minutes
      assert_same plan, ShopFloor.new.plan
      desk.update_columns(count: 2)
      assert_not_same plan, ShopFloor.new.plan
      desk.update_columns(count: 1)
      travel 2.minutes
      assert_not_same plan, ShopFloor.new.plan
    end
  end

  private

  def mark(table) = Stamp.read.of(table)

  def queries
    asked = []
    count = ->(*, sql) { asked << sql[:sql] unless sql[:cached] }
    ActiveSupport::Notifications.subscribed(count, "sql.active_record") { yield }
    asked
  end
end
