require "application_system_test_case"

# Who is here, whose hands they are, and what somebody from outside is shown.
class PeopleScreenTest < ApplicationSystemTestCase
  setup do
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    read_cautions(@piece)
    Person.find_by!(name: "Imke").update!(password: "oil beneath water")
  end

  test "whoever signs out is asked who is there, and is led back to where they were going" do
    visit "/me"
    assert_text "Signed in on"
    assert_accessible
    click_on "Sign out here"
    assert_current_path "/sign_in"
    assert_text "Who is here?"
    assert_accessible
    visit "/pieces"
    assert_text "Who is here?"
    fill_in "Name", with: "Imke"
    fill_in "Password", with: "water and oil"
    click_on "Sign in"
    assert_selector "[role=alert]", text: "Name and password do not belong together"
    fill_in "Password", with: "oil beneath water"
    click_on "Show"
    assert_field "Password", with: "oil beneath water", type: "text"
    click_on "Sign in"
    assert_current_path "/pieces"
    assert_selector "h1", text: "Jobs and pieces"
  end

  test "an owner lets a student in, who sees what is theirs and no more" do
    Person.create!(name: "Noor")
    Rails.configuration.x.demo = false
    visit "/sign_in"
    fill_in "Name", with: "Imke"
    fill_in "Password", with: "oil beneath water"
    click_on "Sign in"
    assert_current_path "/bench"
    visit "/shop"
    click_on "cannot sign in yet"
    find_field("Role").find("option", text: /\AStudent/i).select_option
    fill_in "A password to sign in with, 12 letters or more", with: "short"
    assert_text "7 more letters"
    click_on "Keep"
    assert_selector "[role=alert]", text: "A password is 12 letters or more"
    assert_accessible
    fill_in "A password to sign in with, 12 letters or more", with: "long enough now"
    assert_text(/to guess/)
    Session.update_all(confirmed_at: 11.minutes.ago)
    click_on "Keep"
    within "[role=dialog]", text: "Your password again" do
      fill_in "Password of Imke", with: "oil beneath water"
      assert_accessible
      click_on "Continue"
    end
    assert_button "student, signs in", exact: false
    visit "/me"
    click_on "Sign out here"
    assert_current_path "/sign_in"
    fill_in "Name", with: "Noor"
    fill_in "Password", with: "long enough now"
    click_on "Sign in"
    assert_current_path "/bench"
    assert_no_text "Now: coat 1 of 2"
    visit "/shop"
    assert_text "That is for the finishers of the shop."
    assert_selector "h1", text: "For somebody else"
    assert_accessible
  end

  teardown { Rails.configuration.x.demo = true }

  test "other hands take a tablet over with their code, and the log names them" do
    Person.create!(name: "Noor", role: "finisher", code: "4711")
    @piece.schedule.edit!({ "op" => "pin", "id" => "s1", "coat" => 1, "person" => "Noor" },
                          base: @piece.schedule.head.number, reason: "test")
    read_cautions(@piece, person: "Noor")
    visit "/bench"
    assert_text "Now: coat 1 of 2"
    select "Noor", from: "Whose bench"
    within "[role=dialog]" do
      assert_text "Noor takes over"
      fill_in "Code, or password", with: "1234"
      click_on "Take over"
      assert_selector "[role=alert]", text: "That is not the code of Noor"
      assert_accessible
      fill_in "Code, or password", with: "4711"
      click_on "Take over"
    end
    assert_no_selector "[role=dialog]"
    assert_selector ".rail-me", text: "Noor"
    click_on "Start"
    assert_text "In hand: coat 1 of 2"
    assert_sent
    assert_equal [ "Noor", "Imke" ], [ Entry.last.person.name, Session.last.person.name ]
  end

  test "a client sees a handover by its link until it is ended, and nothing else of the shop" do
    log(@piece, "s1/1/top", "done", 3.hours.ago)
    visit "/pieces/#{@piece.id}/handover"
    assert_selector "h1", text: "Handover: Desk top"
    assert_text "From when it bears what, by the plan of today"
    assert_accessible
    click_on "Link for the client"
    click_on "Make a link"
    url = find(".made-link a.break-all")[:href]
    assert_accessible
    Capybara.using_session("client") do
      visit url
      assert_selector "h1", text: "Desk top"
      assert_no_text "Skerrow W20"
      assert_no_selector "nav"
      assert_accessible
    end
    click_on "End it"
    assert_text "ended"
    Capybara.using_session("client") do
      visit url
      assert_text "This link shows nothing any more"
      assert_accessible
    end
  end
end
