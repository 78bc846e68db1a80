require "application_system_test_case"

# Once along the whole path, as a new user goes it.
class WholePathTest < ApplicationSystemTestCase
  test "piece, schedule, remedy, undo, bench, board, promotion, schedule" do
    size_up_a_piece
    write_its_schedule
    apply_a_remedy_and_undo_it
    work_at_the_bench
    lay_out_a_board_and_read_it
    promote_the_best_cell
    assert_quiet_console(except: /422/)
  end

  def size_up_a_piece
    visit "/pieces"
    click_on "Size up the first piece"
    click_on "Keep it and go to its schedule"
    assert_text "Name the piece."
    fill_in "Client or job", with: "Ostrel Quay Library"
    fill_in "Name", with: "Reading desk"
    fill_in "Wood", with: "elm"
    select "a bar top", from: "It must stand up to"
    fill_in "Area, m²", with: "0,5"
    click_on "Keep it and go to its schedule"
    assert_text "No steps yet"
    assert_accessible
  end

  def write_its_schedule
    click_on "Add the first step"
    within("[role=dialog]") { click_on "Sand", match: :first }
    assert_selector "[role=option]", text: "Sand P120, P180, P220"
    press "n"
    within("[role=dialog]") { click_on "Top coat", match: :first }
    assert_selector "[role=option]", text: "Top coat, Skerrow W20"
    find_field("Coats").set("2").send_keys(:enter)
    assert_selector "[role=option]", text: "Coat 2 of 2"
    row("Coat 1 of 2").click
    assert_selector ".film-section path[fill='url(#milk)']", minimum: 2
    assert_text "data sheet, 20 °C 50 %"
    assert_accessible
  end

  def apply_a_remedy_and_undo_it
    assert_text "Caution: thin for its use"
    remedy = find("[data-remedy]", text: "2 more coats")
    remedy.hover
    assert_selector ".ui-summary[data-state=preview]"
    remedy.click
    assert_selector "[role=option]", text: "Coat 4 of 4"
    assert_no_text "Caution: thin for its use"
    find("h1").click
    press "z"
    assert_selector "[role=option]", text: "Coat 2 of 2"
    assert_no_selector "[role=option]", text: "Coat 4 of 4"
  end

  def work_at_the_bench
    press "1"
    assert_text "Now: sand P120, P180, P220"
    assert_accessible
    click_on "I have read it"
    click_on "Start"
    assert_text "In hand: sand P120, P180, P220"
    # A key that comes within the time of a glove's second tap does nothing.
    assert_button "Done"
    press :space
    assert_text "Next: coat 1 of 2", wait: 10
    assert_no_text "In hand"
    assert_button "I have read it"
    press :space
    assert_button "Start"
    press :space
    assert_text "In hand: coat 1 of 2"
    click_on "Done"
    assert_selector ".drying-slab", text: "Reading desk"
    assert_text "Hands off until"
    assert_equal %w[acknowledged started done] * 2, Entry.order(:id).pluck(:kind)
    assert_accessible
    click_on "Take back: coat 1 of 2 done"
    assert_text "In hand: coat 1 of 2"
  end

  def lay_out_a_board_and_read_it
    make_piece(name: "Second desk", target_lab: [ 35, 20, 23 ])
    press "3"
    click_on "Lay out the first board"
    fill_in "Name", with: "Board 1"
    fill_in "Cells in a row", with: "3"
    select "Second desk · Quay library 1", from: "For"
    select "as the schedule of Reading desk", from: "Cells begin"
    click_on "Lay out the board"
    assert_selector "[role=radio]", count: 3
    find("[role=radio]", text: "2").click
    fill_in "L*", with: "34,5"
    fill_in "a*", with: "20"
    fill_in "b*", with: "400"
    click_on "Keep colour"
    assert_text "That is not a colour reading"
    assert_field "b*", with: "400"
    fill_in "b*", with: "23.5"
    click_on "Keep colour"
    assert_text "Cell 2, best so far"
    click_on "Liking 5 of 5"
    assert_text "Liking 5 kept on cell 2."
    assert_accessible
  end

  def promote_the_best_cell
    click_on "Make cell 2 the schedule"
    within "[role=dialog]" do
      select "Second desk, elm · Quay library 1", from: "Of this piece"
      assert_text "2 steps"
      click_on "Make it the schedule"
    end
    assert_selector "h1", text: "Second desk"
    assert_selector "[role=option]", text: "Coat 2 of 2"
    from_menu "From cell 2 of Board 1"
    find("[role=radio]", text: "2").click
    assert_text "Is the schedule of Second desk."
  end
end
