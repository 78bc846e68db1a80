require "application_system_test_case"

class BoardScreenTest < ApplicationSystemTestCase
  setup do
    @piece = make_piece(steps: [ coat("s1") ], target_lab: [ 35, 20, 23 ])
    @board = Board.create!(name: "Board 7", piece: @piece, wood: "oak", grain: "open", width_mm: 400, height_mm: 300,
                           made_on: Date.current)
    2.times do |index|
      @board.cells.create!(
        label: (index + 1).to_s, position: index,
        layers: index.zero? ? [ coat("s1", product: "seal", wet_um: 80, role: "seal"), coat("s2") ] : []
      )
    end
    visit "/boards/#{@board.id}"
    assert_selector "[role=radio]", count: 2
  end

  state "layers are made in place, and what is wrong is said there" do
    press :arrow_right, find("[role=radio]", text: "1")
    assert_text "Bare. Add the layers"
    click_on "Add its layers"
    within "[role=dialog]" do
      click_on "+ Top coat"
      fill_in "Wet film, µm", with: "0"
      click_on "Keep the layers"
      assert_text "Wet film is more than 0"
      fill_in "Wet film, µm", with: "70"
      click_on "Keep the layers"
    end
    assert_no_selector "[role=dialog]"
    assert_button "Make cell 2 the schedule"
    assert_equal 70, @board.cells.last.reload.layers.first["wet_um"]
    assert_accessible
  end

  state "a ruined cell is kept as a result and is not the best" do
    fill_in "Ruined by (kept as a result)", with: "wrong lot"
    click_on "Mark"
    assert_text "Ruined: wrong lot"
    click_on "It is not ruined after all"
    assert_no_text "Ruined: wrong lot"
    assert_nil @board.cells.first.reload.ruined
  end

  test "promotion shows what changes and its cautions, and can be undone" do
    press "p"
    within "[role=dialog]" do
      assert_text "This cell has no reading yet."
      assert_text "The board is oak, the piece elm."
      assert_text "They take the place of the one step there now"
      assert_accessible
      click_on "Make it the schedule"
    end
    assert_selector "h1", text: "Desk top"
    click_on "More"
    assert_selector "[role=menuitem]", text: "From cell 1 of Board 7"
    press :escape
    click_on "Undo"
    assert_selector "[role=option]", count: 1
    click_on "More"
    assert_no_selector "[role=menuitem]", text: "From cell 1 of Board 7"
    press :escape
    assert_selector "[role=option]", count: 1
  end

  state "a piece with work in the log is not overwritten" do
    log(@piece, "s1/1/top", "done", 1.hour.ago)
    before = @piece.schedule.reload.head.number
    click_on "Make cell 1 the schedule"
    within "[role=dialog]" do
      assert_text "already in the log"
      assert_button "Make it the schedule", disabled: true
    end
    assert_equal before, @piece.schedule.reload.head.number
  end
end
