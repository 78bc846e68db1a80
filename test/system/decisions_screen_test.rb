require "application_system_test_case"
require_relative "../support/pictures"

# A board from its photos and readings to a decision, as hands and eyes do it.
class DecisionsScreenTest < ApplicationSystemTestCase
  include Pictures

  setup do
    Product.find_by!(code: "russet")
      .update!(figures: { "optics" => { "kind" => "dye", "bands" => [ [ 430, 45, 9.0 ], [ 535, 40, 2.6 ] ] } })
    layers = [
      { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P220] },
      { "id" => "s2", "kind" => "stain", "product" => "russet", "method" => "wipe" }, coat("s3", coats: 2)
    ]
    @piece = make_piece(steps: layers, target_lab: [ 35, 20, 23 ])
    @board = Board.create!(name: "Board 7", piece: @piece, wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                           made_on: Date.current - 8)
    @cells = [ 50, 100 ].each_with_index.map do |percent, index|
      @board.cells.create!(
        label: (index + 1).to_s, position: index,
        layers: layers.map { |step|
          step["kind"] == "stain" && percent != 100 ? step.merge("strength_percent" => percent) : step
        }
      )
    end
    visit "/boards/#{@board.id}"
    assert_selector "[role=radio]", count: 2
  end

  def choose_photo(bytes, name: "photo.jpg")
    attach_file("Add a photo", upload(bytes, name: name).path, make_visible: true)
  end

  test "a photo with a grey card becomes a colour of low trust" do
    choose_photo(picture)
    find("button.photo-thumb").click
    within "[role=dialog]" do
      click_on "Take a colour from it, by a grey card"
      assert_button "Keep the colour as a reading", disabled: true
      frame = find("[data-mark=grey]")
      2.times { frame.send_keys(:arrow_right, :arrow_down) }
      colour = find("[data-mark=patch]")
      10.times { colour.send_keys([ :shift, :arrow_right ], [ :shift, :arrow_down ]) }
      assert_text(/L\* 3[78]\.\d/)
      assert_text "low trust"
      assert_accessible
      click_on "Keep the colour as a reading"
    end
    assert_no_selector "[role=dialog]"
    assert_text "Colour, from a photo"
    assert_selector ".board-cell[data-shows=photo]", count: 1
    assert_in_delta 38.2, @cells.first.readings.sole.value[0], 0.8
    assert_quiet_console
  end

  state "bad photos are refused kindly beside the button, and the page goes on" do
    {
      picture.first(2_000) => "broken", "no picture at all" => "no picture this program can read",
      Vips::Image.black(12_000, 12_000).pngsave_buffer => "which is too many"
    }.each do |bytes, says|
      choose_photo(bytes)
      assert_selector ".photo-list .error-text", text: says
    end
    assert_equal 0, Photo.count
    choose_photo(picture)
    assert_selector ".photo-thumb", count: 1
    assert_no_selector ".photo-list .error-text"
    assert_quiet_console(except: /422/)
  end

  state "readings of the whole board by keyboard, all or none" do
    press "e"
    within "[role=dialog]" do
      first = find("[aria-label='Cell 1, gloss']")
      first.send_keys("25", :enter, "x")
      find("[aria-label='Cell 1, L*']").send_keys("40", :tab, "18", :tab, "24")
      click_on "Keep them all"
      assert_text "Cell 2: gloss wants numbers"
      assert_equal 0, Reading.count
      find("[aria-label='Cell 2, gloss']").set("900")
      click_on "Keep them all"
      assert_text "0 to 200 GU"
      find("[aria-label='Cell 2, gloss']").set("31")
      assert_accessible
      click_on "Keep them all"
    end
    assert_no_selector "[role=dialog]"
    assert_selector ".board-cell", text: "31 GU"
    assert_equal [ 25.0, 31.0 ], Reading.where(kind: "gloss").order(:cell_id).map(&:value)
    assert_equal [ 40.0, 18.0, 24.0 ], Reading.find_by(kind: "lab").value
  end

  state "cells stand large side by side in a chosen light" do
    press "c"
    within "[role=dialog]" do
      assert_selector "figure", count: 3
      day = find("figure", match: :first)["style"]
      assert_text "28 GU by its sheet"
      assert_text(/ΔE \d\.\d to cell 1/)
      find("label", text: "Warm lamp LED").click
      refute_equal day, find("figure", match: :first)["style"]
      find("label.side-cell", text: "2").click
      assert_text "Choose a second cell"
      assert_accessible
    end
  end

  test "a verdict with its reason, a second look, and a yes that goes stale with the schedule" do
    within "section[aria-label=Decision]" do
      assert_text "after 7 days: due since"
      click_on "Looked at cell 1 again: no change"
      assert_text "after 7 days: done"
      click_on "Keep it"
      assert_text "A verdict has a reason"
      select "cell 2", from: "The board says"
      fill_in "Because", with: "Known at once"
      click_on "Keep it"
      assert_text "Cell 2: Known at once"
      fill_in "Who said yes", with: "The librarian"
      click_on "Cell 1 is approved"
      assert_text "The librarian approved cell 1 of Board 7"
    end
    assert_accessible
    visit "/pieces/#{@piece.id}/schedule"
    tab "Look"
    assert_text "Look approved by The librarian"
    tab "Step"
    row("Coat 1 of 2").click
    fill_in "Coats", with: "3"
    press :enter, find_field("Coats")
    assert_text "its look is another than approved"
    tab "Look"
    assert_text "another one by now: ask again"
  end

  state "a schedule without its board says so and leads to a trial of it" do
    visit "/pieces/#{@piece.id}/schedule"
    within "[aria-label=Findings]" do
      assert_text "no board of this"
      click_on "Make a board of it"
    end
    assert_selector "h1", text: "Design a trial"
    assert_selector ".board-frame"
    Reading.record!(cell: @cells.last, client_id: "r", kind: "lab", value: [ 36, 20, 22 ], taken_at: Time.current)
    visit "/pieces/#{@piece.id}/schedule"
    assert_selector ".film-section [data-part=look]"
    assert_no_text "no board of this"
  end

  state "a target out of a photo on the colour desk" do
    visit "/boards/colour"
    attach_file "Target from a photo with a grey card", upload(picture).path, make_visible: true
    within "[role=dialog]" do
      2.times { find("[data-mark=grey]").send_keys(:arrow_right) }
      10.times { find("[data-mark=patch]").send_keys([ :shift, :arrow_right ], [ :shift, :arrow_down ]) }
      assert_text(/L\* 3[78]\.\d/)
      click_on "Make it the target"
    end
    assert_match(/\A3[78]\.\d /, find_field("Target as L* a* b*").value)
    assert_selector ".desk-answer"
    assert_accessible
  end
end
