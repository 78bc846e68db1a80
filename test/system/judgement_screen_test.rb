require "application_system_test_case"

# Findings judged otherwise, batches of timber, and a patch foreseen.
class JudgementScreenTest < ApplicationSystemTestCase
  setup do
    @piece = make_piece(steps: [ coat("s1", wet_um: 60) ], wood: "oak")
  end

  def judge(as, where, reason)
    click_on "Judge otherwise", match: :first
    within "[role=dialog]" do
      assert_accessible
      assert_button "Judge it so", disabled: true
      select as, from: "Here it is"
      select where, from: "For"
      fill_in "Because", with: reason
      click_on "Judge it so"
    end
    assert_no_selector "[role=dialog]"
  end

  test "a finding is lowered on a schedule, silent in the shop, and told again, each with its reason" do
    visit "/pieces/#{@piece.id}/schedule"
    assert_text "Caution: thin for its use"
    judge "a note", "this schedule", "a drawer, never touched"
    assert_text "Judged a note here, usually a caution: a drawer, never touched"
    assert_no_text "Caution: thin for its use"
    find("h1").click
    press "z"
    assert_text "Caution: thin for its use"
    judge "not told", "the whole shop", "we know our films"
    assert_text "Thin for its use (we know our films)"
    visit "/shop"
    assert_text "film, too thin: not told. we know our films"
    assert_accessible
    click_on "As usual again"
    assert_no_text "we know our films"
    visit "/pieces/#{@piece.id}/schedule"
    assert_text "Caution: thin for its use"
    assert_quiet_console
  end

  state "a batch of timber that is unlike its kind is made on the piece's page, and the checks go by it" do
    visit "/pieces/#{@piece.id}/schedule"
    assert_text "Colour out of the wood"
    visit "/pieces/#{@piece.id}/edit"
    assert_select "Batch of timber", selected: "as oak is: holds tannin"
    click_on "A batch unlike its kind"
    within "[role=dialog]" do
      assert_accessible
      click_on "Keep the batch"
      assert_text "Name the batch of timber."
      fill_in "Name of the batch", with: "Pond oak"
      fill_in "How you know", with: "vinegar and iron stay pale"
      select "no", from: "Holds tannin"
      click_on "Keep the batch"
    end
    assert_select "Batch of timber", selected: "Pond oak: no tannin"
    click_on "Keep the change"
    assert_text "Caution: thin for its use", wait: 10
    assert_no_text "Colour out of the wood"
  end

  state "a spot on a film that does not dissolve again is foreseen as rings" do
    read_cautions(@piece)
    log(@piece, "s1/1/top", "done", 3.hours.ago)
    visit "/bench"
    click_on "A fault on Desk top"
    within "[role=dialog]" do
      select "Pinholes or solvent pop: tiny holes over the pores", from: "It shows"
      assert_text(/\d+ mm across once it is feathered out, \d+ mm with the new coat: 2 rings stay to be seen/)
      narrow = find(".in-a-spot p").text
      3.times { click_on "Spot, across: more" }
      assert_no_text narrow
      assert_selector ".patch-drawing circle", minimum: 3
      assert_accessible
    end
    assert_quiet_console
  end
end
