require "application_system_test_case"

class PiecesScreenTest < ApplicationSystemTestCase
  test "a piece is changed and its plan follows" do
    piece = make_piece(steps: [ coat("s1") ])
    visit "/pieces"
    assert_accessible
    click_on "Desk top"
    assert_selector "h1", text: "Desk top"
    click_on "1 off, elm, 1 m²"
    fill_in "Area, m²", with: "4,5"
    fill_in "Colour, L* a* b*", with: "reddish"
    click_on "Keep the change"
    assert_text "A colour is three numbers"
    assert_field "Area, m²", with: "4,5"
    fill_in "Colour, L* a* b*", with: "34.6 20.2 23.6"
    assert_accessible
    click_on "Keep the change"
    assert_text "1 off, elm, 4.5 m²"
    assert_equal [ 4.5, [ 34.6, 20.2, 23.6 ] ], [ piece.reload.faces.first.area_m2, piece.target_lab ]
  end

  test "every other screen is accessible, empty and with something on it" do
    paths = %w[/bench /pieces /pieces/new /boards /boards/new /nowhere]
    paths.each { |path| accessible(path) }
    make_piece(steps: [ coat("s1") ])
    Board.create!(name: "Board 1", wood: "elm", grain: "open", width_mm: 400, height_mm: 300, made_on: Date.current)
    paths.each { |path| accessible(path) }
  end

  def accessible(path)
    visit path
    assert_selector "h1"
    assert_accessible
  end

  state "a second face and an existing job" do
    make_piece
    visit "/pieces/new"
    fill_in "Name", with: "Panel"
    fill_in "Wood", with: "alder"
    fill_in "Area, m²", with: "1.2"
    click_on "One more face"
    all(:field, "Face").last.set("back")
    all(:field, "Area, m²").last.set("1.2")
    click_on "Keep it and go to its schedule"
    assert_text "No steps yet"
    assert_equal [ %w[top face], %w[back back] ], Piece.last.faces.map { |face| [ face.name, face.kind ] }
    assert_equal 1, Job.count
  end

  state "a job is changed, closed and taken in hand again" do
    make_piece(steps: [ coat("s1") ])
    visit "/pieces"
    click_on "Change the job of Quay library 0"
    within "[role=dialog]" do
      fill_in "Client or job", with: ""
      click_on "Keep the change"
      assert_text "Name the client or the job."
      fill_in "Client or job", with: "Hollin Weir"
      assert_accessible
      click_on "Keep the change"
    end
    assert_selector "h2", text: "Hollin Weir"
    click_on "Change the job of Hollin Weir"
    click_on "Close the job"
    assert_text "No piece yet"
    find("summary", text: "Closed jobs, 1").click
    click_on "Take it in hand again"
    assert_selector "h2", text: "Hollin Weir"
    assert_quiet_console(except: /422/)
  end

  state "a new piece takes sizes off the rule, and its wood brings the pores" do
    visit "/pieces/new"
    fill_in "Client or job", with: "Ferry office" if page.has_field?("Client or job", wait: 1)
    fill_in "Name", with: "Counter"
    fill_in "Wood", with: "quarter-sawn oak"
    assert_select "Grain", selected: "open (oak, ash, elm)"
    fill_in "Area, m²", with: "1600 x"
    assert_text "is no size. Accepted: 1600 x 750 mm"
    fill_in "Area, m²", with: "2 x 1600 x 750 mm"
    assert_text "= 2.4 m²"
    assert_accessible
    click_on "Keep it and go to its schedule"
    assert_selector "h1", text: "Counter"
    assert_equal [ 2.4, "open" ], Face.last.then { |face| [ face.area_m2, face.grain ] }
    assert_quiet_console except: /422/
  end
end
