require "application_system_test_case"

# What broke trust at the first touch: each as it was met, by hand.
class FirstAidTest < ApplicationSystemTestCase
  setup { @piece = make_piece(steps: [ coat("s1", coats: 2) ]) }

  test "figures that are half typed, words that nothing answers to, and a way out of a page that is not saved" do
    the_record_has_no_such_line
    a_room_without_its_temperature_is_told
    a_side_of_three_and_a_half_metres_is_kept
    a_changed_product_is_not_left_by_accident
    assert_quiet_console(except: /422/)
  end

  def the_record_has_no_such_line
    Approval.record!(@piece, { "client_id" => "a1", "name" => "The librarian", "light" => "daylight" })
    log(@piece, "s1/1/top", "done", 2.hours.ago)
    visit "/record"
    fill_in "Words", with: "librarian"
    press :enter, find_field("Words")
    assert_text "1 entry found"
    visit current_url
    assert_text "look approved"
    fill_in "Words", with: "nobody at all"
    assert_text "Nothing of that is in the record"
  end

  def a_room_without_its_temperature_is_told
    visit "/shop"
    within("article[aria-label='bench']") do
      fill_in "Air, °C", with: ""
      click_on "Keep bench"
      assert_selector "[aria-invalid=true] ~ .error-text, .ui-field .error-text", text: "-20 to 60"
      fill_in "Air, °C", with: "0"
      click_on "Keep bench"
      assert_text "Kept. The plan follows."
    end
    assert_equal 0, Room.first.t_c
  end

  def a_side_of_three_and_a_half_metres_is_kept
    visit "/pieces/area"
    click_on "Another part"
    find_field("Part 3 across, m").set("")
    find_field("Part 3 across, m").send_keys("3.5")
    assert_field "Part 3 across, m", with: "3.5"
    assert_selector ".area-part", text: "Part 3"
    click_on "Take part 3 away"
  end

  def a_changed_product_is_not_left_by_accident
    visit "/shelf"
    click_on "W20 clear satin"
    assert_selector "h1", text: "Skerrow W20 clear satin"
    fill_in "density", with: "1.07"
    find("#place-1").click
    within "[role=dialog]" do
      assert_text "Unsaved changes"
      assert_accessible
      click_on "Cancel"
    end
    assert_field "density", with: "1.07"
    page.go_back
    assert_text "Leave without saving?"
    within("[role=dialog]") { click_on "Cancel" }
    assert_field "density", with: "1.07"
    find("#place-1").click
    click_on "Discard changes"
    assert_selector "h1", text: "Bench"
  end

  test "a product changed by hand takes the old one's figures away, a piece is deleted and restored" do
    Product.create!(code: "other", maker: "Marram", name: "L60 clear", kind: "nitro_lacquer", role: "top coat",
                    figures: { "wet_um" => { "spray" => 60 } })
    @piece.schedule.edit!({ "op" => "change_step", "id" => "s1", "set" => { "hardener_parts" => 12 } },
                          base: @piece.schedule.head.number, reason: "test")
    visit "/pieces/#{@piece.id}/schedule"
    row("Coat 1 of 2").click
    select "Marram L60 clear", from: "Product"
    assert_text "Reset: hardener ratio. Wet film 100 µm to 60 µm."
    assert_selector "[role=option]", text: "Coat 2 of 2"
    step = @piece.schedule.reload.steps.first
    was = coat("s1", coats: 2).merge("hardener_parts" => 12)
    assert_equal was.merge(Rhexon::Schedule::Swap.set(was, Product.find_by!(code: "other").to_value)).compact, step
    from_menu "Delete piece"
    within "[role=dialog]" do
      assert_accessible
      click_on "Delete piece"
    end
    assert_selector "h1", text: "Jobs and pieces"
    assert_no_selector ".piece-card"
    find("summary", text: "Deleted and archived pieces, 1").click
    click_on "Restore piece"
    assert_selector ".piece-card", text: "Desk top"
    assert_quiet_console
  end

  test "the shop is renamed and counts in other units and money, and its address is in what is sent" do
    visit "/shop/settings"
    assert_accessible
    fill_in "Name", with: "Weir Yard"
    select "US: mil, fl oz, ft², °F", from: "Units on new devices"
    select "USD", from: "Currency", match: :first
    assert_text "Prices are not converted"
    fill_in "Shop address (optional)", with: "shop"
    click_on "Save settings"
    assert_text "An address is as a browser has it"
    fill_in "Shop address (optional)", with: "http://192.168.7.20:3000"
    click_on "Save settings"
    assert_selector ".page-rail", text: "Weir Yard"
    visit "/pieces/#{@piece.id}/schedule"
    assert_selector "svg text", text: "mil", exact_text: true
    visit "/pieces/#{@piece.id}/handover"
    click_on "Link for the client"
    click_on "Make a link"
    assert_selector ".made-link a", text: "http://192.168.7.20:3000/guest/"
    assert_equal({ "name" => "Weir Yard", "units" => "us", "currency" => "USD" },
                 Shop.current.reload.slice("name", "units", "currency"))
    assert_quiet_console(except: /422/)
  ensure
    page.execute_script("localStorage.clear()")
  end
end
