require "application_system_test_case"

# The record by hand: found by words as they are typed, by a piece that is touched, and gone through by days.
class RecordScreenTest < ApplicationSystemTestCase
  test "words are found as they are typed, a piece by its line, and all of it again" do
    piece = make_piece(steps: [ coat("s1", coats: 2) ])
    other = make_piece(name: "Stool", steps: [ coat("s1", product: "seal") ])
    log(piece, "s1/1/top", "started", 26.hours.ago, { "person" => "Imke" })
    log(piece, "s1/1/top", "done", 25.hours.ago)
    log(other, "s1/1/top", "done", 3.hours.ago)
    visit "/bench"
    press "6"
    assert_selector "h1", text: "Record"
    assert_selector ".record-lines tr", count: 5, visible: :all
    assert_accessible
    fill_in "Words", with: "stoo"
    assert_text "1 entry found"
    within(".record-names") { assert_no_text "Desk top" }
    fill_in "Words", with: ""
    assert_text "nothing in it is rewritten"
    within(".record-names") { click_on "Desk top" }
    assert_text "2 entries found"
    assert_select "Piece", selected: "Desk top"
    select "Imke", from: "Person"
    assert_text "1 entry found"
    click_on "All of it"
    assert_text "nothing in it is rewritten"
    assert_quiet_console
  end

  state "an empty record says where it will come from" do
    visit "/record"
    assert_text "Nothing has happened yet"
    assert_accessible
  end
  state "the shop's own figures: forgotten and remembered by hand, and plans made safer" do
    visit "/record"
    click_on "The shop's own figures"
    assert_text "A dry test at the bench"
    assert_text "work that is begun and done at the bench teaches it"
    piece = make_piece(steps: [ coat("s1", coats: 2) ])
    log(piece, "s1/1/top", "started", 25.hours.ago - 31.minutes, { "person" => "Imke" })
    log(piece, "s1/1/top", "done", 25.hours.ago)
    log(piece, "s1/1/top", "dry_test", 23.hours.ago, { "milestone" => "recoat_opens", "answer" => "dry" })
    visit "/record/figures"
    assert_text "1 coat, the last dry after 2 h 00"
    assert_text "too few for plans yet"
    assert_accessible
    click_on "Forget it"
    assert_text "As on the sheet."
    click_on "Remember it again"
    assert_text "× the sheet"
    click_on "nine of ten"
    assert_selector "button[aria-pressed=true]", text: "nine of ten"
    assert_equal 90, Shop.current.house["plan_on"].to_i
    assert_quiet_console
  end
end
