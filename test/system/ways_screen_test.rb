require "application_system_test_case"

# From a wish to a schedule: the way of somebody who has a table and a date and knows no system.
class WaysScreenTest < ApplicationSystemTestCase
  # Counts what a hand touches: presses and fields.
  def touch(words)
    @touches = @touches.to_i + 1
    click_on words
  end

  def type(field, words)
    @touches = @touches.to_i + 1
    fill_in field, with: words
  end

  test "from a new piece to a planned schedule in a few touches, and undone again" do
    visit "/pieces/new"
    type "Client or job", "Quay library"
    type "Name", "Reading table"
    type "Wood", "oak"
    @touches += 1
    select "a table top", from: "It must stand up to"
    type "Area, m²", "1600 x 750 mm"
    touch "Keep it and go to its schedule"
    assert_text "No steps yet"
    touch "See which ways would do"
    assert_selector ".way", minimum: 3, wait: 15
    assert_accessible
    first(".way").click_on "Choose"
    @touches += 1
    assert_text "Ready to handle", wait: 15
    assert_selector "[role=option]", minimum: 2
    piece = Piece.find_by!(name: "Reading table")
    assert_operator piece.schedule.steps.size, :>=, 2
    assert_operator @touches, :<=, 10
    puts "From opening the page to a planned schedule: #{@touches} touches"
    assert_quiet_console
  end

  state "wishes answer at once, and what falls out says why" do
    piece = make_piece(wood: "oak", use: "table_top")
    piece.faces.first.update!(grain: "open")
    visit "/pieces/#{piece.id}/schedule"
    click_on "See which ways would do"
    assert_selector ".way", minimum: 3, wait: 15
    assert_text "Sprayed lacquer: no spray gear"
    check "spray gun"
    assert_no_text "no spray gear"
    within("fieldset", text: "hardly any") { click_on "hardly any" }
    assert_text "Solvent two-part: it smells"
    within("fieldset", text: "to show") { click_on "closed" }
    assert_text "Hardwax oil: it leaves pores open"
    find(".way-name", match: :first).click
    assert_text(/smell \d of 5, skill \d of 5/)
    fill_in "Material, at most, EUR", with: "-3"
    assert_text "More than 0, or nothing."
    fill_in "Material, at most, EUR", with: ""
    find("summary", text: "What counts").click
    assert_accessible
    assert_quiet_console
  end

  state "another way for a piece that is begun keeps what is in the log" do
    piece = make_piece(steps: [ coat("s1", coats: 3) ])
    log(piece, "s1/1/top", "done", 2.days.ago)
    visit "/pieces/#{piece.id}/schedule"
    click_on "More"
    find("[role=menuitem]", text: "Another way for this piece").click
    assert_text "Work on it is begun: what is in the log stays"
    assert_selector ".way", minimum: 2, wait: 15
    assert_text "Hardwax oil: it would not get into the wood any more"
    assert_accessible
    find(".way", text: "Waterborne by brush").click_on "Choose"
    assert_text "Ready to handle", wait: 15
    assert_equal [ "s1", 1 ], piece.schedule.reload.steps.first.values_at("id", "coats")
    assert_quiet_console
  end

  test "a wanted look is tapped, moved by words and tried on a board" do
    add_dye
    piece = make_piece(wood: "oak", use: "furniture")
    visit "/pieces/#{piece.id}/ways"
    assert_text "its wood: a mean board of oak"
    find(".look-tiles button[aria-label*='at 100 %']", match: :first).click
    assert_selector ".look-wanted"
    assert_selector ".way", minimum: 2, wait: 15
    find(".way-name", match: :first).click
    assert_text(/ΔE [\d.]+ from the wanted colour/)
    5.times { click_on "paler" }
    find("summary", text: "From elsewhere").click
    select "maple", from: "As another wood"
    assert_text "The wanted colour is lighter than oak under any film"
    assert_accessible
    click_on "seen"
    assert_no_text "lighter than oak"
    assert_selector ".way[data-open]"
    click_on "Try on a board what is least sure of it"
    assert_current_path %r{\A/boards/\d+\z}
    assert_equal 2, Trial.last.factors.size
    assert_quiet_console
  end

  state "a client wants it duller: one touch, held against what stands" do
    piece = make_piece(steps: [ coat("s1", coats: 3) ])
    visit "/pieces/#{piece.id}/ways"
    assert_text "As it stands"
    click_on "duller"
    assert_selector "button[aria-pressed=true]", text: "duller"
    find_field("Ready by").send_keys(20.days.from_now.strftime("%m%d%Y"))
    assert_text(/\d+ in 10 in time/, wait: 30)
    assert_text "only tried here"
    click_on "As it was"
    assert_no_text "only tried here"
    assert_quiet_console
  end

  def add_dye
    Product.create!(maker: "Vellaby", name: "Brown dye", code: "brown", kind: "water_dye", colour: "tinted",
                    role: "dye", figures: { "optics" => { "kind" => "dye",
                                             "bands" => [ [ 430, 45, 12.0 ], [ 535, 36, 3.0 ], [ 620, 60, 0.3 ] ] } })
  end
end
