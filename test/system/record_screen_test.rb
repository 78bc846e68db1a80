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

  test "an empty record says where it will come from" do
    visit "/record"
    assert_text "Nothing has happened yet"
    assert_accessible
  end
end
