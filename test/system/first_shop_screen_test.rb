require "application_system_test_case"

class FirstShopScreenTest < ApplicationSystemTestCase
  setup { [ OpenHour, Product, Person, Room, Shop ].each(&:delete_all) }

  test "somebody new begins a shop, sizes up a piece and writes its first steps" do
    visit "/bench"
    assert_text "Begin your shop"
    assert_accessible
    fill_in "Name of the shop", with: "Tarn Yard"
    click_on "Begin"
    assert_text "Name the person."
    fill_in "Who owns it", with: "Imke"
    fill_in "Password of the owner, 12 letters or more", with: "oil"
    click_on "Begin"
    assert_text "A password is 12 letters or more"
    fill_in "Password of the owner, 12 letters or more", with: "oil beneath water"
    click_on "Begin"
    assert_selector "h1", text: "Bench"
    visit "/pieces"
    click_on "Size up the first piece"
    assert_selector "h1"
    assert_quiet_console
    page.current_window.resize_to(390, 800)
    Shop.delete_all
    visit "/begin"
    assert_text "Begin your shop"
    assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390
  end
end
