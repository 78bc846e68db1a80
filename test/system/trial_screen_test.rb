require "application_system_test_case"

class TrialScreenTest < ApplicationSystemTestCase
  setup do
    @piece = make_dyed_piece
  end

  test "a board is designed, made, read, and says what each thing does" do
    visit "/boards"
    click_on "Design the first trial"
    assert_selector ".trial-cell", count: 6
    assert_selector ".trial-cell", text: "50 %"
    assert_text "No replicate: an effect cannot be told from chance"
    assert_accessible
    fill_in "Times over", with: "2"
    assert_text "on each of 2 boards"
    fill_in "Width, mm", with: "60"
    assert_text "do not fit a board of 60"
    fill_in "Width, mm", with: "480"
    click_on "Lay out 2 boards"
    assert_text "Name the trial."
    fill_in "Name of the trial", with: "Dye and sealer"
    click_on "Lay out 2 boards"
    assert_selector "h1", text: "Dye and sealer, board 1"
    assert_selector "[role=radio][data-shows=predicted]", count: 6
    assert_text "Read the same measure on two cells or more"
    Trial.last.boards.each do |board|
      board.cells.select(&:run).each do |cell|
        Reading.record!(cell: cell, client_id: SecureRandom.uuid, kind: "blotch", value: 1 + cell.run[0],
                        taken_at: Time.current)
      end
    end
    visit current_path
    assert_selector ".trial-effects li[data-told=certain]", text: "100 % instead of 50 %: blotch up 1.0"
    select "touch", from: "Another measure"
    fill_in "1 (plasticky) to 5 (close to wood)", with: "9"
    within("form", text: "Another measure") { click_on "Keep" }
    assert_text "Touch cannot be 9"
    assert_accessible
    assert_quiet_console(except: /422/)
  end

  state "a cell is read by instruments and from a file, and combinations are weighed" do
    trial = TrialDesign.new(
      {
        "name" => "Coats", "piece_id" => @piece.id, "wood" => "elm", "width_mm" => 480, "height_mm" => 300,
        "factors" => [ { "name" => "clear coats", "step" => "s4", "field" => "coats", "levels" => [ 1, 3 ] } ]
      },
      today: Date.current
    ).save!
    visit "/boards/#{trial.boards.first.id}"
    find("[role=radio]", text: "1", match: :first).click
    click_on "Read the colour"
    assert_text "Colour of cell 1 kept, the mean of three touches."
    click_on "Read the gloss"
    assert_text "Gloss of cell 1 kept"
    assert_selector "[role=radio][data-shows=read]", count: 1
    file = Tempfile.new([ "readings", ".txt" ]).tap do |kept|
      kept.write(Rhexon::Colour::Cgats.write([ Rhexon::Colour::Cgats::Sample.new(id: "2", lab: [ 36, 19, 22 ]) ])) &&
        kept.flush
    end
    attach_file "Readings in", file.path, make_visible: true
    assert_text "are kept."
    assert_selector "[role=radio][data-shows=read]", count: 2
    within("[aria-label=Verdict]") do
      assert_selector "tbody tr", count: 2
      4.times { click_on "few hands: less" if trial.reload.weighed["hands"].positive? }
      click_on "durability: more"
      assert_text "not read: durability"
    end
    assert_equal 1, trial.reload.weights["durability"]
    assert_accessible
    assert_quiet_console
  end

  state "blind pairs by the arrow keys, and no winner inside the noise" do
    board = TrialDesign.new(
      {
        "name" => "Pairs", "piece_id" => @piece.id, "wood" => "elm", "width_mm" => 480, "height_mm" => 300,
        "factors" => [ { "name" => "coats", "step" => "s4", "field" => "coats", "levels" => [ 1, 2, 3 ] } ]
      },
      today: Date.current
    ).save!.boards.first
    visit "/boards/#{board.id}"
    click_on "Blind pairs"
    assert_text "6 pairs are left"
    press :arrow_left
    assert_text "5 pairs are left"
    assert_text(/1 pick: cell .* but within chance/)
    find(".pair-side", text: "Right one").click
    assert_text "4 pairs are left"
    assert_equal 2, PairPick.count
    assert_accessible
    assert_quiet_console
  end

  test "the colour desk answers as it is asked, and says what cannot be reached" do
    visit "/boards/colour"
    assert_selector ".desk-answer", text: "One colourant"
    fill_in "Target as L* a* b*", with: "85 2 14"
    assert_text "Dyes only darken"
    fill_in "Target as L* a* b*", with: "dark"
    assert_text "That is no target"
    fill_in "Target as L* a* b*", with: "45 18 20"
    assert_no_text "That is no target"
    select "over what is there, as a toner", from: "Colour goes"
    assert_text "That is no colour to begin from"
    fill_in "What is there now, L* a* b*", with: "50 20 24"
    assert_text "Choose at least one colourant"
    Product.create!(
      code: "madder", maker: "Vellaby", role: "toner", name: "Madder", kind: "colourant",
      figures: { "optics" => { "kind" => "dye", "bands" => [ [ 525, 42, 45 ] ] }, "source" => "test" }
    )
    visit "/boards/colour"
    fill_in "Target as L* a* b*", with: "45 24 22"
    select "over what is there, as a toner", from: "Colour goes"
    assert_text "That is no colour to begin from"
    fill_in "What is there now, L* a* b*", with: "50 20 24"
    assert_selector ".desk-field", text: "Now"
    assert_no_text "That is no colour to begin from"
    assert_accessible
    select @piece.name, from: "Of the piece"
    select "W20", from: "Carried in"
    click_on "Put it in"
    assert_selector ".step-detail .panel-title", text: "Tone"
    tab "Colour"
    assert_field "Madder, % by weight"
    fill_in "Madder, % by weight", with: "2"
    send_keys :enter
    assert_selector ".look-beside", text: "after it"
    tab "Mix"
    assert_selector ".mix-for-pass", text: "Madder"
    assert_accessible
    assert_quiet_console(except: /422/)
  end

  state "the look after each step stands under the film, in the light that is chosen" do
    visit "/pieces/#{@piece.id}/schedule"
    assert_selector ".film-section [data-part=look] rect", minimum: 5
    press "l"
    assert_select "Seen in", selected: "Warm daylight, D50"
    tab "Look"
    assert_selector ".look-stage", count: 5
    day = find(".look-stage", text: "bare")[:style]
    select "Incandescent lamp, A", from: "Seen in"
    assert_not_equal day, find(".look-stage", text: "bare")[:style]
    find(".look-stage", text: "2", match: :first).click
    assert_selector "[role=option][aria-selected=true]", text: "Stain"
    assert_accessible
    assert_quiet_console
  end
end
