require "application_system_test_case"

# The recipe book by hand: kept from a schedule, set anew for another piece, taken over, told of a newer version.
class BookScreenTest < ApplicationSystemTestCase
  test "a schedule is kept, varied for another piece and made its schedule, and a newer version is told" do
    sanded = { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }
    piece = make_piece(steps: [ sanded, coat("s2", coats: 3) ])
    other = make_piece(name: "Shelf", wood: "maple")
    visit "/pieces/#{other.id}/schedule"
    click_on "Take one from the recipe book"
    assert_text "Nothing in the book yet"
    visit "/pieces/#{piece.id}/schedule"
    from_menu "Keep it in the recipe book"
    fill_in "Name", with: "Satin, three coats"
    click_on "Keep it"
    assert_selector "h2", text: "Satin, three coats"
    assert_text "Made on elm"
    find_field("For").find("option", text: /^Shelf/).select_option
    assert_text "elm there, maple here"
    assert_accessible
    click_on "2. coats: more"
    assert_text "coats 4 in place of 3"
    click_on "Make it the schedule of Shelf"
    assert_text "Ready to handle", wait: 15
    assert_equal 4, other.schedule.reload.steps.last["coats"]
    from_menu "By Satin, three coats, version 1"
    click_on "Name and what is varied"
    uncheck "2. Top coat, Skerrow W20 clear satin: sheen"
    fill_in "What it is for", with: "Shelves"
    click_on "Keep it so"
    assert_text "2, "
    visit "/pieces/#{other.id}/schedule"
    from_menu "Version 2 of Satin, three coats (this is 1): what it changes"
    assert_field "2. coats", with: "4"
    assert_quiet_console
  end

  state "a file that is no recipe is told, and nothing is lost" do
    piece = make_piece(steps: [ coat("s1") ])
    Template::Kept.new(name: "One coat").piece!(piece)
    visit "/pieces/book"
    file = Tempfile.new([ "recipe", ".json" ]).tap { |one| one.write("{}") && one.flush }
    attach_file "A recipe as a file", file.path, make_visible: true
    assert_selector "[role=alert]", text: "lacks"
    click_on "All right"
    assert_text "One coat"
  end
end
