require "application_system_test_case"

# A whole mix at the desk with the stand-in scale: over-poured, unplugged, finished.
class MixingDeskTest < ApplicationSystemTestCase
  setup do
    stock_two_part
    Shop.current.update!(scale_g: 0.1)
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    Devices.scale.hand.clear(now: Time.current)
  end

  teardown { Devices.scale.hand.clear(now: Time.current) }

  def put(grams) = Devices.scale.hand.put(grams, now: Time.current)
  def take = find("[data-space]:enabled", wait: 12).click

  test "from a coat to the jar, through an over-pour and a scale that falls silent" do
    visit "/pieces/#{@piece.id}/schedule"
    row("Coat 1 of 2").click
    tab "Mix"
    within("section[aria-label='Mix']") do
      assert_text "One batch for 2 coats"
      click_on "Mix it"
    end
    assert_selector "h1", text: "Skerrow W20 clear satin"
    assert_text "Desk top: coat 1 of 2 · Desk top: coat 2 of 2"
    assert_selector ".mix-target b", text: "422.0 g"
    assert_accessible

    put(500)
    assert_text /7[78]\.\d g too much/, wait: 12
    take
    assert_text "Too much went in"
    assert_selector ".mix-target b", text: /\A53\.[89] g/
    assert_text(/Accept it and pour the rest as planned: Skerrow H12 hardener at 8.4\d \(8 to 12\)/)

    Devices.scale.hand.fault = "disconnected"
    assert_text "The scale does not answer", wait: 12
    assert_selector "[data-space]:disabled"
    Devices.scale.hand.fault = "none"
    put(53.8)
    assert_text "In the band", wait: 12
    take
    assert_text "All is in"
    assert_text(/3 h 1[12] of pot life left/)
    click_on "Mixed: to the shelf"
    assert_text "On the shelf as"

    visit "/bench"
    assert_selector ".bench-pots", text: /3 h 1[12] of pot life/
    find(".bench-pots a").click
    assert_text "catalysed"
    assert_selector "img[alt^='Label of J']"
    assert_text(/Skerrow H12 hardener\s+53\.[789] g/)
    assert_equal [ "poured", "poured", "mixed" ], Entry.order(:id).pluck(:kind)
    assert_in_delta 4500, Shelf::Stock.left_g("w20"), 0.4
    assert_quiet_console
  end

  state "typed readings, a pour taken back, ounces, and a running total" do
    visit "/mix"
    fill_in "Wanted in all", with: "½ l"
    assert_text "500 ml, 523.6 g in all"
    fill_in "Wanted in all", with: "a bucket"
    assert_text '"a bucket" is no amount'
    fill_in "Wanted in all", with: "500 ml"
    click_on "Begin this mix"
    assert_selector ".mix-target b", text: "472.7 g"
    fill_in "or type it", with: "1 lb"
    press :enter, find_field("or type it")
    assert_selector ".mix-target b", text: "48.9 g"
    click_on "oz"
    assert_selector ".mix-target b", text: "1.723 oz"
    click_on "running total"
    assert_selector ".mix-target b", text: "17.723 oz"
    click_on "zeroed each pour"
    find(".ui-switch button", text: /\Ag\z/).click
    click_on "Take back: 453.6 g of Skerrow W20 clear satin"
    assert_selector ".mix-target b", text: "472.7 g"
    fill_in "or type it", with: "2 spoons"
    press :enter, find_field("or type it")
    assert_text "is no unit of this bench"
    click_on "All right"
    click_on "Leave this mix"
    assert_text "Thrown away"
  end

  state "the hand of the stand-in pours while it is held" do
    visit "/mix"
    click_on "Begin this mix"
    find("summary", text: "Stand-in scale").click
    button = find_button("Hold to pour")
    page.driver.browser.action.click_and_hold(button.native).perform
    assert_no_selector ".mix-reading", text: /\A0\.0/, wait: 5
    page.driver.browser.action.release.perform
    take
    assert_text "Take back"
    assert_operator Entry.where(kind: "poured").first.body["g"], :>, 1
  end
end
