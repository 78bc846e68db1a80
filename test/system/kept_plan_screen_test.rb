require "application_system_test_case"

# The plan is led by hand: another task first, work that was not logged, one coat changed.
class KeptPlanScreenTest < ApplicationSystemTestCase
  setup do
    @desk = make_piece(name: "Desk", steps: [ coat("s1", coats: 3) ])
    @lid = make_piece(name: "Lid", steps: [ coat("s1", coats: 2) ])
    [ @desk, @lid ].each { |piece| read_cautions(piece) }
    ShopFloor.new.keep!
  end

  test "another task is selected and logged with its times, and one coat is changed after a look at what it does" do
    visit "/bench"
    first(".after-row").click
    assert_text "Selected: "
    assert_accessible
    click_on "Log past work"
    within("[role=dialog]") do
      clock_in "Finished", 23, 59
      click_on "Log work"
      assert_text "The end is in the future"
      clock_in "Started", 8, 0
      clock_in "Finished", 8, 25
      assert_accessible
      click_on "Log work"
    end
    assert_text "Noted 08:25."
    assert_sent
    assert_equal %w[started done], Entry.order(:id).last(2).map(&:kind)
    assert_equal "08:25", Entry.last.happened_at.in_time_zone(Shop.current.zone).strftime("%H:%M")

    visit "/pieces/#{@desk.id}/schedule"
    find("[role=option]", text: "Coat 3 of 3").click
    select "this coat only", from: "Changes apply to"
    find_field("Wet film, µm").set("80").send_keys(:enter)
    assert_selector ".try-bar", text: /Coat 3 only.*was|Coat 3 only.*no change/m
    assert_accessible
    click_on "Cancel"
    assert_no_selector ".try-bar"
    find_field("Wet film, µm").set("80").send_keys(:enter)
    click_on "Save change"
    assert_no_selector ".try-bar"
    assert_field "Wet film, µm", with: "80"
    eventually { @desk.schedule.reload.steps.pluck("coats", "wet_um") == [ [ 2, 100 ], [ 1, 80 ] ] }
    assert_quiet_console
  end

  private

  # Typed as this browser's clock counts: twelve hours twice.
  def clock_in(label, hour, minute)
    find_field(label).send_keys(Time.new(2000, 1, 1, hour, minute).strftime("%I%M%p"))
  end
end
