require "application_system_test_case"

class ShopPlanTest < ApplicationSystemTestCase
  setup do
    @desk = make_piece(name: "Desk", steps: [ coat("s1", coats: 3) ])
    make_piece(name: "Panel", steps: [ coat("s1", product: "seal", coats: 2) ])
  end

  test "the plan of the shop: pieces, goals, chance, what moved" do
    visit "/pieces"
    click_on "Shop plan"
    assert_selector ".shop-picture svg"
    assert_selector ".strand-link", text: "Desk"
    assert_text "What shuts next"
    assert_text(/by the date asked for/)
    assert_accessible
    assert_text "Nothing has moved since the shop last closed."
    find(".plan-goal", text: "Fewest sessions").click
    assert_selector ".plan-goal[aria-pressed=true]", text: "Fewest sessions"
    assert_equal "fewest_sessions", Shop.current.reload.goal
    find("h1").click
    press "t"
    assert_selector "table.sheet-table td", text: "Coat 1 of 3"
    assert_accessible
    assert_quiet_console
  end

  # Both pieces are kept for next week, though hands are free today.
  test "a better plan is found, looked at and left, found again and taken" do
    ShopFloor.new.keep!
    PlannedPass.update_all("start_min = start_min + 7 * 1440")
    visit "/pieces/plan"
    assert_selector ".better-offer", text: /A better plan was found.*sooner on average/m, wait: 20
    assert_accessible
    click_on "Keep current plan"
    assert_text "Current plan kept."
    later = PlannedPass.minimum(:start_min)
    make_piece(name: "Stool", steps: [ coat("s1") ])
    visit "/bench"
    assert_no_text "A better plan was found"
    visit "/pieces/plan"
    assert_selector ".better-offer", wait: 20
    click_on "Use this plan"
    assert_text(/tasks? moved since/)
    assert_operator PlannedPass.minimum(:start_min), :<, later
    assert_quiet_console
  end

  state "schedules side by side, and one put away" do
    visit "/pieces/compare?piece=#{@desk.id}"
    select "As Panel", from: "Hold it against"
    assert_selector ".compare-side", text: "As Panel"
    assert_selector ".side-words", text: /fewer/
    assert_selector "td[data-state=best]"
    assert_accessible
    within(find(".compare-side", text: "As Panel")) { click_on "Put away" }
    assert_no_selector "th", text: "As Panel"
    assert_quiet_console
  end

  def floor_clear!
    figures = { "wet_um" => { "roller" => 100, "brush" => 90 }, "packs" => [ { "ml" => 5000 } ] }
    Product.create!(code: "f40", maker: "Marram", name: "F40 floor clear", kind: "waterborne_two_part",
                    role: "top coat", figures: figures)
  end

  test "a floor in sections, from the sketch to its plan" do
    floor_clear!
    visit "/pieces/area"
    assert_text "sections, edge at most"
    click_on "Another part"
    assert_field "Part 3 across, m", with: "2"
    fill_in "Part 3 across, m", with: "3"
    assert_selector ".ui-summary dd", text: "66 m²"
    select "brush, 10 cm", from: "Laid on with"
    assert_text "edge at most"
    click_on "Take part 3 away"
    assert_selector ".ui-summary dd", text: "60 m²"
    assert_accessible
    click_on "Make a piece of it"
    fill_in "Name", with: "Reading room floor"
    select "a new job", from: "Job"
    fill_in "Client or job", with: "Quay library"
    assert_accessible
    click_on "Keep it and go to its schedule"
    assert_selector "h1", text: "Reading room floor"
    find("[role=option]", text: "Coat 1 of 2", match: :first).click
    tab "Sections"
    assert_selector ".floor-plan .area-number", minimum: 2
    assert_text "No air over it until"
    assert_text "can 1, 5.0 L"
    assert_accessible
    click_on "Change the sketch"
    assert_selector "h1", text: "Reading room floor: its sketch"
    click_on "Move the exit"
    find(".area-sketch").click(x: 5, y: 5)
    click_on "Keep it with Reading room floor"
    assert_selector ".step-list"
    assert_quiet_console
  end

  state "people, guns and what a room is used for" do
    visit "/shop"
    fill_in "Somebody else", with: "Osei"
    within(find("form", text: "Somebody else")) { click_on "Add" }
    assert_selector ".shop-people b", text: "Osei"
    within(find(".shop-people li", text: "Osei")) { uncheck "may spray" }
    within(find(".room-air", text: "bench", match: :first)) do
      check "spray, one pass at a time"
      fill_in "Places on its rack", with: "8"
      click_on "Keep bench"
      assert_text "Kept. The plan follows."
    end
    assert_equal [ %w[spray], 8 ], Room.first.then { |room| [ room.uses, room.rack_places ] }
    assert_equal [ [] ], Person.where(name: "Osei").pluck(:skills)
    assert_accessible
  end

  state "whose hands a step must be, and all its coats from one pot" do
    Person.create!(name: "Osei")
    stool = make_piece(name: "Stool", steps: [ coat("s1", coats: 2) ])
    visit "/pieces/#{stool.id}/schedule"
    find("[role=option]", text: "Coat 1 of 2").click
    tab "How and where"
    select "Osei", from: "Done by"
    tab "Step"
    assert_text "Osei starts"
    tab "How and where"
    assert_equal "Osei", ShopFloor.new.plan.of_piece(stool.core_id).first.person
    check "All coats from one pot"
    assert_checked_field "All coats from one pot"
    assert_quiet_console
  end
end
