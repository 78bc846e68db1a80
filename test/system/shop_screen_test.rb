require "application_system_test_case"

class ShopScreenTest < ApplicationSystemTestCase
  test "a room gets a night set-back and the schedule shows it; a logger file; holidays" do
    piece = make_piece(steps: [ coat("s1", product: "seal", method: "brush", wet_um: 70, coats: 2) ])
    visit "/shop"
    assert_accessible
    within("article[aria-label='bench']") do
      select "by the hours of the day", from: "Its air is"
      all(:fillable_field, "% RH").last.set("200")
      click_on "Keep bench"
      assert_text "Humidity cannot be 200"
      all(:fillable_field, "% RH").last.set("60")
      click_on "Keep bench"
      assert_text "Kept. The plan follows."
      assert_selector ".air-drawing path"
      file = Tempfile.new([ "logger", ".csv" ]).tap do |made|
        made.write("time,t_c,rh\n#{1.hour.ago.strftime("%F %H:%M")},18,55\nx,1,1\n") && made.close
      end
      attach_file "Logger file in", file.path, make_visible: true
      assert_text "1 hours read, 1 rows refused"
    end
    click_on "Another day"
    find("input[type=date]").native.send_keys("12242026")
    fill_in "Monday", with: "early"
    click_on "Keep the shop's hours"
    assert_text '"early" are no hours'
    fill_in "Monday", with: "00:00-24:00"
    click_on "Keep the shop's hours"
    within("section[aria-label='Hours']") { assert_text "Kept. The plan follows." }
    assert_equal [ [ Date.new(2026, 12, 24), nil ] ], OpenHour.where.not(date: nil).pluck(:date, :opens)
    visit "/pieces/#{piece.id}/schedule"
    assert_selector ".film-section"
    assert_quiet_console(except: /422/)
  end

  state "a rule of the shop is what schedules follow until they say otherwise" do
    piece = make_piece(steps: [ coat("s1", coats: 2) ])
    visit "/shop"
    within("section[aria-label='House rules']") do
      select "always", from: "Scuff between coats that meet their window"
      assert_field "Scuff between coats that meet their window", with: "always"
    end
    visit "/pieces/#{piece.id}/schedule"
    assert_selector "[role=option]", text: "Scuff P320"
    from_menu "House rules"
    within "[role=dialog]" do
      assert_field "Scuff between coats that meet their window", with: "always"
      select "none", from: "Scuff between coats that meet their window"
    end
    assert_no_selector "[role=option]", text: "Scuff P320"
  end
end
