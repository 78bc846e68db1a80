require "test_helper"

# What the log teaches goes into the next plan.
class ShopBeliefsTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
  end

  def beliefs = ShopFloor.new.to_core["beliefs"]

  test "a shop that never tested believes nothing" do
    assert_empty beliefs
    log(@piece, "s1/1/top", "done", 4.hours.ago)
    assert_empty beliefs
  end

  # Recoat opens after 90 min on the sheet: not yet at 180, dry at 200 means a factor of about 2.1; half way there
  # from a prior sd of 0.35.
  test "a coat that was slow makes the same product slow on the next piece, after its job is closed too" do
    log(@piece, "s1/1/top", "done", 200.minutes.ago)
    log(@piece, "s1/1/top", "dry_test", 20.minutes.ago, { "milestone" => "recoat_opens", "answer" => "not_yet" })
    log(@piece, "s1/1/top", "dry_test", Time.current, { "milestone" => "recoat_opens", "answer" => "dry" })
    learned = beliefs.sole
    assert_equal [ "w20", "early", 1 ], learned.values_at("product", "group", "coats")
    assert_operator learned["m"], :>, Math.log(1.5)
    @piece.job.update!(closed_at: Time.current)
    other = make_piece(name: "Shelf", steps: [ coat("s1", coats: 2) ])
    wait = ShopFloor.new.plan.of_piece(other.core_id).last.waits.sole
    assert_in_delta 90 * Math.exp(learned["m"]), wait.reached_at - wait.from, 1
  end

  test "a test that is taken back is forgotten" do
    log(@piece, "s1/1/top", "done", 3.hours.ago)
    entry = log(@piece, "s1/1/top", "dry_test", 1.minute.ago, { "milestone" => "recoat_opens", "answer" => "dry" })
    assert_equal 1, beliefs.size
    Entry.record!(client_id: "back", kind: "correction", happened_at: Time.current, piece: @piece, corrects: entry,
                  body: {})
    assert_empty beliefs
  end
end
